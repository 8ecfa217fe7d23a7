<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Reading\Input;

/** Words in one language, with blanks in braces: "We open again {opening}." */
final readonly class Script
{
    private const BLANK = '/\{([a-z]+)\}/';
    /** What looks like a blank and may be none, and braces that stand alone. */
    private const BRACES = '/\{([^{}]*)\}|[{}]/u';
    private const MOST_KNOWN = 1000;

    /** @param list<ScriptPart|Blank> $pieces in the order in which they are heard */
    private function __construct(private string $text, public array $pieces) {}

    /** Whoever looks at many calls asks for the same scripts again and again. */
    public static function of(string $language, string $text): self
    {
        /** @var array<string, self> $known */
        static $known = [];
        if (\count($known) > self::MOST_KNOWN) {
            $known = [];
        }

        return $known[$language . ' ' . $text] ??= self::read($language, $text);
    }

    private static function read(string $language, string $text): self
    {
        if (!str_contains($text, '{')) {
            return new self($text, '' === $text ? [] : [new ScriptPart($language, 1, $text)]);
        }
        $pieces = [];
        $number = 0;
        foreach ((array) preg_split(self::BLANK, $text, -1, \PREG_SPLIT_DELIM_CAPTURE) as $i => $piece) {
            $blank = 1 === $i % 2 ? Blank::tryFrom((string) $piece) : null;
            if (null !== $blank) {
                $pieces[] = $blank;
            } elseif (1 === preg_match('/[\p{L}\p{N}]/u', (string) $piece)) {
                $pieces[] = new ScriptPart($language, ++$number, trim((string) $piece));
            }
        }

        return new self($text, $pieces);
    }

    /** Tells of blanks that there are none of, and of more than can be recorded around. */
    public static function check(string $text, Input $in): void
    {
        preg_match_all(self::BRACES, $text, $found);
        foreach ($found[1] as $i => $name) {
            if (null === Blank::tryFrom($name)) {
                $in->complain('not-a-blank', [
                    'blank' => Input::quote($found[0][$i]),
                    'blanks' => implode(
                        ', ',
                        array_map(static fn(Blank $one): string => '{' . $one->value . '}', Blank::cases()),
                    ),
                ]);
            }
        }
        if (\count($found[1]) >= ScriptPart::MOST) {
            $in->complain('blanks-too-many', ['most' => ScriptPart::MOST - 1]);
        }
    }

    /** @return list<ScriptPart> */
    public function parts(): array
    {
        return array_values(array_filter($this->pieces, static fn($piece): bool => $piece instanceof ScriptPart));
    }

    /** @return list<Blank> */
    public function blanks(): array
    {
        return array_values(array_filter($this->pieces, static fn($piece): bool => $piece instanceof Blank));
    }

    /** @param array<string, string> $words by blank */
    public function filled(array $words): string
    {
        return (string) preg_replace_callback(
            self::BLANK,
            static fn(array $found): string => $words[$found[1]] ?? $found[0],
            $this->text,
        );
    }
}
