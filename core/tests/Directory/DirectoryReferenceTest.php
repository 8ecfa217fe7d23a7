<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Directory;

use Meandros\Core\Directory\Directory;
use Meandros\Core\Plan\Element\About;
use Meandros\Core\Plan\Element\KnownBy;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step\MenuDialling;
use Meandros\Core\Plan\Step\NamePart;
use Meandros\Core\Plan\Step\NameSpelling;
use Meandros\Core\Tests\Soak;
use PHPUnit\Framework\TestCase;

/** A scan of everybody, written from docs/menus.md alone, finds the same people after the same keys. */
final class DirectoryReferenceTest extends TestCase
{
    private const FIRST = ['Ann', 'Anne-Marie', 'Ben', 'Cléo', 'Dan', 'Zoë', 'Yan', 'Xu'];
    private const LAST = [
        'Marsh',
        'Marten',
        'Le Goff',
        'Smith-Jones',
        'Ødegård',
        'O’Brien',
        'Nash',
        'Nasr',
        'Wu',
        'van der Berg',
    ];
    private const KEYS = [
        'abc' => '2',
        'def' => '3',
        'ghi' => '4',
        'jkl' => '5',
        'mno' => '6',
        'pqrs' => '7',
        'tuv' => '8',
        'wxyz' => '9',
    ];

    public function testRandomKeysAmongRandomPeople(): void
    {
        mt_srand(Soak::seed());
        $stops = [];
        for ($round = 0; $round < Soak::count(40); ++$round) {
            $people = self::people();
            $plan = Plan::of('People', $people);
            $spelling = new NameSpelling(
                [NamePart::Last, NamePart::First, NamePart::Either][mt_rand(0, 2)],
                mt_rand(2, 5),
                mt_rand(1, 4),
                1 === mt_rand(0, 1),
            );
            $directory = new Directory($plan, $spelling, new MenuDialling());
            for ($i = 0; $i < 25; ++$i) {
                $keys =
                    implode('', array_map(static fn(): int => mt_rand(2, 9), range(0, mt_rand(0, 7)))) .
                    ['', '#'][mt_rand(0, 1)];
                $keys = 0 === mt_rand(0, 2) ? self::keys(self::LAST[array_rand(self::LAST)]) : $keys;
                $keys = 0 === mt_rand(0, 4) ? (string) mt_rand(20, 240) : $keys;
                $found = $directory->read($keys);
                $expected = self::scan($people, $keys, $spelling);
                self::assertSame(
                    $expected,
                    [$found->typed, array_map(static fn(Person $one): string => $one->id(), $found->people)],
                    json_encode([$keys, $spelling->toJson()], \JSON_THROW_ON_ERROR),
                );
                $stops[$found->stop->value] = true;
            }
        }
        self::assertCount(5, $stops, 'Every reason to stop occurs.');
    }

    /**
     * @param array<string, Person> $people
     *
     * @return array{string, list<string>} keys that were read, and who is found
     */
    private static function scan(array $people, string $keys, NameSpelling $spelling): array
    {
        for ($n = 1; $n <= \strlen($keys); ++$n) {
            $isHash = '#' === $keys[$n - 1];
            $typed = rtrim(substr($keys, 0, $n), '#');
            $left = array_filter($people, static fn(Person $person): bool => self::begins($person, $typed, $spelling));
            $exact = array_filter(
                $left,
                static fn(Person $person): bool => $spelling->extensions && $person->known->extension === $typed,
            );
            $longer = array_filter(
                $left,
                static fn(Person $person): bool => $spelling->extensions &&
                    str_starts_with($person->known->extension, $typed) &&
                    $person->known->extension !== $typed,
            );
            $isEnough = $n >= $spelling->letters && \count($left) <= $spelling->most && [] === $longer;
            if ($isHash || $n === \strlen($keys) || ($n >= 2 && (\count($left) < 2 || $isEnough))) {
                $found = \strlen($typed) < 2 ? [] : ([] === $exact ? $left : $exact);
                usort(
                    $found,
                    static fn(Person $one, Person $other): int => [$one->name(), $one->id()] <=> [
                        $other->name(),
                        $other->id(),
                    ],
                );

                return [$typed, array_map(static fn(Person $one): string => $one->id(), $found)];
            }
        }

        return [$keys, []];
    }

    private static function begins(Person $person, string $typed, NameSpelling $spelling): bool
    {
        [$first, $last] = [...explode(' ', $person->name(), 2), ''];
        $names = match ($spelling->part) {
            NamePart::Last => [$last],
            NamePart::First => [$first],
            NamePart::Either => [$first, $last],
        };
        foreach ($names as $name) {
            $parts = preg_split('/[ -]/', $name) ?: [];
            foreach (array_keys($parts) as $from) {
                if (str_starts_with(self::keys(implode('', \array_slice($parts, $from))), $typed)) {
                    return true;
                }
            }
        }

        return $spelling->extensions && str_starts_with($person->known->extension, $typed);
    }

    private static function keys(string $name): string
    {
        $keys = '';
        foreach (
            str_split(strtolower(strtr($name, ['é' => 'e', 'ë' => 'e', 'Ø' => 'o', 'å' => 'a', '’' => ''])))
            as $letter
        ) {
            foreach (self::KEYS as $letters => $key) {
                $keys .= str_contains($letters, $letter) ? $key : '';
            }
        }

        return $keys;
    }

    /** @return array<string, Person> */
    private static function people(): array
    {
        $people = [];
        for ($i = 0; $i < mt_rand(3, 40); ++$i) {
            $name = self::FIRST[array_rand(self::FIRST)] . ' ' . self::LAST[array_rand(self::LAST)];
            $extension = 0 === mt_rand(0, 1) ? (string) (200 + $i) : '';
            $people["per_$i"] = new Person(new About("per_$i", $name), 'sit', new KnownBy($extension));
        }

        return $people;
    }
}
