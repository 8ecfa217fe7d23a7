<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Directory;

use Meandros\Core\Directory\DirectoryView;
use Meandros\Core\Directory\Reached;
use Meandros\Core\Plan\Element\About;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step\AboutStep;
use Meandros\Core\Plan\Step\DirectoryStep;
use Meandros\Core\Plan\Step\NamePart;
use Meandros\Core\Plan\Step\NameSpelling;
use Meandros\Core\Plan\Step\Prompting;
use PHPUnit\Framework\TestCase;

/** How many presses everybody takes, counted by hand: Marsh 62774, Marten 627836, Mars 6277, Wu 98, Wu 98, Q 7. */
final class DirectoryViewTest extends TestCase
{
    public function testPressesAndWhoCannotBeToldApart(): void
    {
        // Two are read out: after M-A-R three are left, after M-A-R-S (6277) Marsh and Mars, after M-A-R-T (6278) Marten alone.
        self::assertSame(
            [
                'Zed Wu 98: never, with Ann Wu, Ben Wu',
                'Ann Marsh 62774: 5, with Cleo Mars',
                'Cleo Mars 6277: 5, with Ann Marsh',
                'Ann Wu 98: 4, with Ben Wu, Zed Wu',
                'Ben Marten 627836: 4',
                'Ben Wu 98: 4, with Ann Wu, Zed Wu',
            ],
            self::seen(['Ann Marsh', 'Ben Marten', 'Cleo Mars', 'Ann Wu', 'Ben Wu', 'Zed Wu'], 2),
        );
    }

    public function testSomebodyOfASingleLetterIsNeverFound(): void
    {
        self::assertSame(['Dan Q 7: never', 'Ann Marsh 62774: 2'], self::seen(['Dan Q', 'Ann Marsh'], 3));
    }

    /**
     * @param list<string> $names
     *
     * @return list<string>
     */
    private static function seen(array $names, int $most): array
    {
        $people = array_map(
            static fn(string $name, int $i): Person => new Person(new About('per_' . $i, $name), 'sit'),
            $names,
            array_keys($names),
        );
        $step = new DirectoryStep(
            new AboutStep('s1'),
            new Prompting(null),
            spelling: new NameSpelling(NamePart::Last, 3, $most, false),
        );
        $with = static fn(Reached $one): string => implode(
            ', ',
            array_map(static fn(Person $other): string => $other->name(), $one->alike),
        );

        return array_map(
            static fn(Reached $one): string => \sprintf(
                '%s %s: %s%s',
                $one->person->name(),
                $one->keys,
                $one->presses ?? 'never',
                [] === $one->alike ? '' : ', with ' . $with($one),
            ),
            DirectoryView::of(Plan::of('People', $people), $step),
        );
    }
}
