<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Limits;

/**
 * The entries of a list of callers, however many: kept as the text that they are written in, a line each and in order, in
 * which a caller is found by bisection.
 *
 * @implements \IteratorAggregate<int, CallerEntry>
 */
final readonly class CallerEntries implements \Countable, \IteratorAggregate
{
    private const MOST_BYTES = 7_000_000;
    /** A line that needs no second look: a number or a beginning, with a name and a label that are not too long. */
    private const PLAIN = '/^\+[1-9][0-9]{4,12}(?:[0-9]{0,2}|\*)(?:\t[^\t\x00-\x1F]{0,80}){0,2}$/uD';

    /** @param string $lines in order, each with its end */
    private function __construct(private string $lines) {}

    /** @param iterable<CallerEntry> $entries of what stands there twice the last holds */
    public static function of(iterable $entries): self
    {
        $lines = [];
        foreach ($entries as $entry) {
            $lines[$entry->match] = $entry->line();
        }

        return self::inOrder($lines);
    }

    /** A text of lines, "match", name and label parted by tabs; or a list of objects, as earlier plans have it. */
    public static function fromJson(Input $in): self
    {
        if (!$in->isText()) {
            return self::listed($in);
        }
        $text =
            '' === $in->optionalExactText(self::MOST_BYTES)
                ? ''
                : rtrim($in->optionalExactText(self::MOST_BYTES), "\n") . "\n";
        if ($in->isTrusted()) {
            return new self($text);
        }
        if (substr_count($text, "\n") > Limits::CALLER_ENTRIES) {
            $in->complain('list-too-long', ['most' => Limits::CALLER_ENTRIES]);

            return new self('');
        }
        $lines = [];
        foreach ('' === $text ? [] : explode("\n", rtrim($text, "\n")) as $i => $line) {
            $match = strtok($line, "\t") ?: '';
            if (isset($lines[$match])) {
                $in->part($i, $line)->complain('caller-twice', ['match' => $match]);
            }
            $lines[$match] =
                1 === preg_match(self::PLAIN, $line)
                    ? rtrim($line, "\t")
                    : self::checked($in->part($i, $line), $line)->line();
        }

        return self::inOrder($lines);
    }

    private static function checked(Input $in, string $line): CallerEntry
    {
        try {
            return CallerEntry::ofLine($line);
        } catch (InvalidData $invalid) {
            $in->take($invalid);

            return new CallerEntry('');
        }
    }

    private static function listed(Input $in): self
    {
        $entries = [];
        foreach ($in->items(Limits::CALLER_ENTRIES) as $item) {
            $entry = CallerEntry::fromJson($item);
            if (isset($entries[$entry->match])) {
                $item->field('match')->complain('caller-twice', ['match' => $entry->match]);
            }
            $entries[$entry->match] = $entry;
        }

        return self::of($entries);
    }

    /** @param array<string> $lines */
    private static function inOrder(array $lines): self
    {
        sort($lines, \SORT_STRING);

        return new self([] === $lines ? '' : implode("\n", $lines) . "\n");
    }

    public function text(): string
    {
        return rtrim($this->lines, "\n");
    }

    public function count(): int
    {
        return substr_count($this->lines, "\n");
    }

    public function isEmpty(): bool
    {
        return '' === $this->lines;
    }

    /** @return \Generator<int, CallerEntry> */
    public function getIterator(): \Generator
    {
        for ($from = 0, $i = 0; $from < \strlen($this->lines); $from = $end + 1, ++$i) {
            $end = (int) strpos($this->lines, "\n", $from);
            yield $i => CallerEntry::ofKept(substr($this->lines, $from, $end - $from));
        }
    }

    /** Whether a country or a kind of number is in it. */
    public function hasRanges(): bool
    {
        return 1 ===
            preg_match('/^(?:[A-Z]{2}|mobile|fixed)$/m', (string) preg_replace('/^\+.*\n|\t.*$/m', '', $this->lines));
    }

    public function find(string $match): ?CallerEntry
    {
        $line = $this->lineUpTo($match);

        return null !== $line && ($line === $match || str_starts_with($line, $match . "\t"))
            ? CallerEntry::ofKept($line)
            : null;
    }

    /** The longest beginning of a number. */
    public function beginning(string $number): ?CallerEntry
    {
        for ($wanted = $number . '*'; \strlen($wanted) > 2; ) {
            $line = $this->lineUpTo($wanted);
            if (null === $line) {
                return null;
            }
            $match = explode("\t", $line, 2)[0];
            if (str_ends_with($match, '*') && str_starts_with($number, substr($match, 0, -1))) {
                return CallerEntry::ofKept($line);
            }
            // What begins alike and is shorter stands before it; nothing longer does.
            $alike = strspn($match ^ $number, "\0");
            $wanted = substr($number, 0, min($alike, \strlen(rtrim($wanted, '*')) - 1)) . '*';
        }

        return null;
    }

    /** @return string|null the last line whose match is not after this one */
    private function lineUpTo(string $match): ?string
    {
        // A tab comes before all that a match is made of, so that lines stand in the order of what they match.
        $wanted = $match . "\t\xFF";
        $from = 0;
        $to = \strlen($this->lines);
        $found = null;
        while ($from < $to) {
            $middle = ($from + $to) >> 1;
            $before = 0 === $middle ? false : strrpos($this->lines, "\n", $middle - 1 - \strlen($this->lines));
            $start = false === $before ? 0 : max($from, $before + 1);
            $end = (int) strpos($this->lines, "\n", $start);
            $line = substr($this->lines, $start, $end - $start);
            if ($line <= $wanted) {
                $found = $line;
                $from = $end + 1;
            } else {
                $to = $start;
            }
        }

        return $found;
    }
}
