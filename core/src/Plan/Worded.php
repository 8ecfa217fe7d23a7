<?php

declare(strict_types=1);

namespace Meandros\Core\Plan;

use Meandros\Core\Reading\PlainLetters;
use Meandros\Core\Value\Lists;

/** A text within an element that somebody worded: what is said to callers, what people read, whom it is sent to. */
final readonly class Worded
{
    /** Fields of texts, and of lists of them. Elements are known by their own names; those are not looked for here. */
    private const FIELDS = [
        'name',
        'why',
        'label',
        'note',
        'tone',
        'reason',
        'address',
        'voice',
        'scripts',
        'say',
        'notify',
    ];
    /** Phones are seen with their person; takes and what a machine read repeat scripts; lists of callers have a search of their own. */
    private const LEFT_OUT = ['phones', 'takes', 'machine', 'entries'];
    /** Characters that are shown before what was looked for, and after it. */
    private const BEFORE = 40;
    private const AFTER = 80;

    /**
     * @param string      $pointer within the element (RFC 6901)
     * @param string|null $step    id of the step in which it stands
     */
    private function __construct(public string $pointer, public string $text, public ?string $step) {}

    /** @return list<self> in the order in which the element has them */
    public static function in(Element $element): array
    {
        $json = $element->toJson();
        unset($json['name']);

        return self::within($json, '', null, false);
    }

    /** @return list<self> the element's own name first */
    public static function everywhere(Element $element): array
    {
        return [new self('/name', $element->name(), null), ...self::in($element)];
    }

    /** @return list<string> each once, as it is looked for */
    public static function plainly(Element $element): array
    {
        return array_values(
            array_unique(array_map(static fn(self $one): string => self::plain($one->text), self::in($element))),
        );
    }

    /**
     * @param array<mixed> $json
     * @param bool         $isText whether its texts are such
     *
     * @return list<self>
     */
    private static function within(array $json, string $pointer, ?string $step, bool $isText): array
    {
        $step = isset($json['do']) && \is_string($json['id'] ?? null) ? $json['id'] : $step;
        $found = [];
        foreach ($json as $field => $value) {
            $isWorded = Lists::has(self::FIELDS, $field) || ($isText && \is_string($value));
            $at = $pointer . '/' . $field;
            // An empty one would be written as a list otherwise.
            $value = \is_object($value) ? (array) $value : $value;
            if (\is_array($value) && !Lists::has(self::LEFT_OUT, $field)) {
                array_push($found, ...self::within($value, $at, $step, $isWorded));
            }
            if ($isWorded && \is_string($value) && '' !== $value) {
                $found[] = new self($at, $value, $step);
            }
        }

        return $found;
    }

    /** As it is looked for: accents and capitals do not count. */
    public static function plain(string $words): string
    {
        return PlainLetters::of(trim($words));
    }

    /**
     * Where the words stand in it first, with some of the text around them.
     *
     * @return array{before: string, match: string, after: string}|null null where they do not stand in it
     */
    public function excerpt(string $words): ?array
    {
        $words = self::plain($words);
        $text = $this->text;
        $has = static fn(int $from, int $to): bool => str_contains(
            PlainLetters::of(mb_substr($text, $from, $to - $from)),
            $words,
        );
        $length = mb_strlen($text);
        if ('' === $words || !$has(0, $length)) {
            return null;
        }
        // A letter may have two in plain letters: the shortest beginning that has the words ends with them.
        $to = self::least($length, static fn(int $to): bool => $has(0, $to));
        $from = $to - self::least($to, static fn(int $letters): bool => $has($to - $letters, $to));
        [$first, $last] = [max(0, $from - self::BEFORE), min($length, $to + self::AFTER)];

        return [
            'before' => ($first > 0 ? '…' : '') . mb_substr($text, $first, $from - $first),
            'match' => mb_substr($text, $from, $to - $from),
            'after' => mb_substr($text, $to, $last - $to) . ($last < $length ? '…' : ''),
        ];
    }

    /** @param \Closure(int): bool $isEnough for one, for all that are more */
    private static function least(int $enough, \Closure $isEnough): int
    {
        $tooFew = 0;
        while ($enough - $tooFew > 1) {
            $middle = intdiv($enough + $tooFew, 2);
            $isEnough($middle) ? ($enough = $middle) : ($tooFew = $middle);
        }

        return $enough;
    }
}
