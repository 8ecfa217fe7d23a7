<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Wording;

use Meandros\Core\Tests\Told;
use Meandros\Core\Wording\Catalog;
use PHPUnit\Framework\TestCase;

/** Every sentence that there is, as it reads with the names of what is put into it; where there is a choice, each of its ways. */
final class SentencesToldTest extends TestCase
{
    public function testTheyReadAsTheyDid(): void
    {
        $told = '';
        foreach (glob(__DIR__ . '/../../src/Wording/messages/*.php') ?: [] as $file) {
            [$subject, $language] = explode('.', basename($file));
            $catalog = Catalog::of($subject, $language);
            $told .= "# {$subject}, {$language}\n";
            foreach ((array) require $file as $code => $pattern) {
                foreach (self::ways((string) $pattern) as $way => $arguments) {
                    $told .= $code . $way . ': ' . $catalog->say($code, $arguments) . "\n";
                }
            }
        }
        Told::same(__DIR__ . '/sentences.txt', $told);
    }

    /** @return iterable<string, array<string, string>> the way that is taken, and arguments so that it is; each once */
    private static function ways(string $pattern): iterable
    {
        preg_match_all('/\{(\w+)(?:, *(\w+))?/', $pattern, $named, \PREG_SET_ORDER);
        $plain = [];
        $choices = [];
        foreach ($named as $one) {
            $plain[$one[1]] = match ($one[2] ?? '') {
                'plural', 'number' => '2',
                'date' => '1795449000',
                default => $one[1],
            };
        }
        preg_match_all('/\{(\w+), *(?:select|plural), */', $pattern, $chosen, \PREG_SET_ORDER | \PREG_OFFSET_CAPTURE);
        foreach ($chosen as [[$begin, $at], [$name]]) {
            preg_match_all('/\G\s*(=?\w+) *(\{(?:[^{}]|(?2))*\})/', $pattern, $ways, 0, $at + \strlen($begin));
            $choices[$name] = array_map(static fn(string $way): string => ltrim($way, '='), $ways[1]);
        }
        yield '' => $plain;
        foreach ($choices as $name => $ways) {
            foreach ($ways as $way) {
                'other' === $way || (yield " ({$name} {$way})" => [$name => $way] + $plain);
            }
        }
    }
}
