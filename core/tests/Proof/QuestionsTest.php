<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Proof;

use Meandros\Core\Proof\Ways\Questions;
use Meandros\Core\Routing\Heeded;
use Meandros\Core\Routing\HungUp;
use PHPUnit\Framework\TestCase;

final class QuestionsTest extends TestCase
{
    /** A happening of which it was not said whether something is open at it would make endings silently incomplete. */
    public function testItIsSaidOfEveryHappening(): void
    {
        $known = [Heeded::class, HungUp::class];
        foreach (glob(\dirname(__DIR__, 2) . '/src/Routing/Happening/*.php') ?: [] as $file) {
            /** @var class-string $class */
            $class = 'Meandros\Core\Routing\Happening\\' . basename($file, '.php');
            interface_exists($class) || ($known[] = $class);
        }
        self::assertEqualsCanonicalizing($known, array_keys(Questions::CLASSES));
        foreach (array_filter(Questions::CLASSES) as $question) {
            self::assertFileExists(
                \sprintf(
                    '%s/src/Proof/Ways/Question/%s.php',
                    \dirname(__DIR__, 2),
                    basename(strtr($question, '\\', '/')),
                ),
            );
        }
    }
}
