<?php

declare(strict_types=1);

namespace Meandros\Core\Plan;

use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Json\Within;
use Meandros\Core\Reading\InvalidData;

/**
 * Other words in the place of some, wherever somebody worded something, and in names. They are found as whole words, not in blanks, and
 * their capitals stay: where "Bookings" become "Reservations", "bookings" become "reservations".
 */
final readonly class Rewording
{
    private string $pattern;

    public function __construct(string $words, private string $put)
    {
        $spaces = preg_split('/\s+/u', trim($words)) ?: [];
        $this->pattern =
            '/(?<![\p{L}\p{N}{])' .
            implode('\s+', array_map(static fn(string $word): string => preg_quote($word, '/'), $spaces)) .
            '(?![\p{L}\p{N}}])/iu';
    }

    /** @return list<Reworded> the element's name first, then in the order in which it has them */
    public function in(Element $element): array
    {
        $reworded = [];
        foreach (Worded::everywhere($element) as $worded) {
            $after = $this->text($worded->text);
            $after === $worded->text || ($reworded[] = new Reworded($worded, $after));
        }

        return $reworded;
    }

    /** @throws InvalidData when a text may not be so */
    public function reworded(Element $element): Element
    {
        $json = PlanCodec::data($element);
        foreach ($this->in($element) as $one) {
            Within::change($json, Within::keys($one->worded->pointer), static fn(): string => $one->after);
        }

        return PlanCodec::element($json);
    }

    private function text(string $text): string
    {
        return preg_replace_callback($this->pattern, fn(array $match): string => $this->like($match[0]), $text) ??
            $text;
    }

    /** What is put in the place of words, with capitals as they have them. */
    private function like(string $words): string
    {
        $first = mb_substr($words, 0, 1);

        return match (true) {
            mb_strlen($words) > 1 && mb_strtolower($words) !== $words && mb_strtoupper($words) === $words
                => mb_strtoupper($this->put),
            mb_strtoupper($first) !== $first => self::begins($this->put, mb_strtolower(...)),
            mb_strtolower($first) !== $first => self::begins($this->put, mb_strtoupper(...)),
            default => $this->put,
        };
    }

    /** @param \Closure(string): string $letter */
    private static function begins(string $text, \Closure $letter): string
    {
        return $letter(mb_substr($text, 0, 1)) . mb_substr($text, 1);
    }
}
