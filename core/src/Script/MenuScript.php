<?php

declare(strict_types=1);

namespace Meandros\Core\Script;

/**
 * Reads what a menu's script promises, key by key: "for X, press 2", "press 2 for X", "pour X, tapez 2", "appuyez sur le 2
 * pour X", and lists that name the verb once. A small grammar, not a language: what it does not understand promises nothing.
 */
final class MenuScript
{
    private const DIGIT = '(?<![\d:,.+])[0-9](?![\d:h])|(?<!\S)[*#]';

    private readonly string $mention;
    private readonly string $leads;
    private readonly string $edge;
    private bool $hasVerb = false;

    private function __construct(private readonly Grammar $grammar)
    {
        $keys = implode(
            '|',
            array_map(
                static fn(int|string $word): string => preg_quote((string) $word, '/'),
                array_keys($grammar->keys->keys),
            ),
        );
        $this->mention = \sprintf(
            '/(?<verb>\b(?:%s)\s+)?(?<![\p{L}\'])%s(?<key>\b(?:%s)\b|%s)/iu',
            $grammar->keys->press,
            $grammar->keys->between,
            $keys,
            self::DIGIT,
        );
        $this->leads = \sprintf('(?:%s)(?<=\')|(?:%1$s)\b', $grammar->leadsTo);
        $this->edge = \sprintf('(?:[\s,:;–—-]|\b(?:%s)\b)+', $grammar->between);
    }

    /** @return list<Promised> in the order of the script; nothing in languages of which no grammar is known */
    public static function read(string $script, string $language): array
    {
        $grammar = Grammar::of($language);
        if (null === $grammar) {
            return [];
        }
        $self = new self($grammar);
        $promised = [];
        foreach (self::sentences($script) as $sentence) {
            foreach ($self->sentence($sentence) as $one) {
                $promised[$one->key] ??= $one;
            }
        }

        return array_values($promised);
    }

    /** @return list<PromisedWord> that callers are told to say, in the order of the script; "press 1 or say sales", "dites fret" */
    public static function words(string $script, string $language): array
    {
        $grammar = Grammar::of($language);
        if (null === $grammar) {
            return [];
        }
        $self = new self($grammar);
        $promised = [];
        foreach (self::sentences($script) as $sentence) {
            preg_match_all($self->alternative(), $sentence, $found, \PREG_SET_ORDER | \PREG_OFFSET_CAPTURE);
            foreach ($found as $one) {
                $promised[] = new PromisedWord(trim($one['words'][0]), $self->keyBeside($sentence, $one[0][1]));
            }
        }

        return $promised;
    }

    /** The key that is named last before a place of a sentence, or else first after it. */
    private function keyBeside(string $sentence, int $at): ?string
    {
        $key = null;
        foreach ($this->named($sentence) as $one) {
            if ($one['verb'] && ($one['to'] <= $at || null === $key)) {
                $key = $one['key'];
            }
        }

        return $key;
    }

    /** @return list<string> */
    private static function sentences(string $script): array
    {
        return preg_split(
            '/[.!?;\n]+(?=\s|$)/u',
            str_replace(['’', '“', '”', '«', '»', '"'], ["'", '', '', '', '', ''], $script),
        ) ?:
            [];
    }

    /** What tells callers to say something instead, as a regular expression. */
    private function alternative(): string
    {
        return \sprintf(
            '/(?:,?\s*\b(?:%s)\s+)?\b(?:%s)\s+(?<words>[\p{L}\' -]+?)(?=[,.]|\s+(?:%1$s)\b|$)/iu',
            $this->grammar->between,
            $this->grammar->says,
        );
    }

    /** @return list<Promised> */
    private function sentence(string $sentence): array
    {
        $sentence = (string) preg_replace($this->alternative(), '', $sentence);
        $named = $this->named($sentence);
        $first = array_values(array_filter($named, static fn(array $one): bool => $one['verb']))[0] ?? null;
        if (null === $first && !$this->hasVerb) {
            return [];
        }
        $this->hasVerb = true;
        $isBefore = $this->saysBefore($sentence, $first ?? ($named[0] ?? ['from' => 0, 'to' => 0]));
        $mentions = $this->listed($sentence, $named, $isBefore);
        $promised = [];
        foreach ($mentions as $i => $mention) {
            $from = $isBefore ? $mentions[$i - 1]['to'] ?? 0 : $mention['to'];
            $to = $isBefore ? $mention['from'] : $mentions[$i + 1]['from'] ?? \strlen($sentence);
            $promised[] = new Promised($mention['key'], $this->clean(substr($sentence, $from, $to - $from)));
        }

        return $promised;
    }

    /**
     * Whether destinations stand before their keys in this sentence.
     *
     * @param array{from: int, to: int} $first key that is named in it
     */
    private function saysBefore(string $sentence, array $first): bool
    {
        $before = substr($sentence, 0, $first['from']);

        return $this->beginsWithDestination($before) ||
            ('' !== $this->clean($before) && !$this->leadsOn(substr($sentence, $first['to'])));
    }

    /** @return list<array{from: int, to: int, key: string, verb: bool}> what may name a key in a sentence, by byte */
    private function named(string $sentence): array
    {
        preg_match_all($this->mention, $sentence, $found, \PREG_SET_ORDER | \PREG_OFFSET_CAPTURE);

        return array_map(function (array $match): array {
            $word = mb_strtolower($match['key'][0]);

            return [
                'from' => $match[0][1],
                'to' => $match[0][1] + \strlen($match[0][0]),
                'key' => $this->grammar->keys->keys[$word] ?? $word,
                'verb' => '' !== ($match['verb'][0] ?? ''),
            ];
        }, $found);
    }

    /**
     * Those with a verb, and those that go on with a list: "2 for freight", or "for freight, 2".
     *
     * @param list<array{from: int, to: int, key: string, verb: bool}> $named
     *
     * @return list<array{from: int, to: int, key: string, verb: bool}>
     */
    private function listed(string $sentence, array $named, bool $isBefore): array
    {
        $mentions = [];
        foreach ($named as $one) {
            $last = $mentions[\count($mentions) - 1]['to'] ?? 0;
            $after = substr($sentence, $one['to']);
            $before = substr($sentence, $last, $one['from'] - $last);
            // A number with nothing before it is none of a key: "for two or more cars, press 1".
            $goesOn = $isBefore
                ? $this->closes($after) && $this->beginsWithDestination($before) && '' !== $this->clean($before)
                : $this->leadsOn($after);
            if ($one['verb'] || $goesOn) {
                $mentions[] = $one;
            }
        }

        return $mentions;
    }

    private function leadsOn(string $after): bool
    {
        return 1 === preg_match(\sprintf('/^\s*(?:key|button)?\s*,?\s*(?:%s)/iu', $this->leads), $after);
    }

    private function closes(string $after): bool
    {
        $verbFollows = \sprintf(
            '/^\s*,?\s*(?:(?:%s)\s+)*(?:%s)\b/iu',
            $this->grammar->between,
            $this->grammar->keys->press,
        );

        return 1 === preg_match(\sprintf('/^\s*(?:$|[,.]|(?:%s)\b)/iu', $this->grammar->between), $after) &&
            1 !== preg_match($verbFollows, $after);
    }

    private function beginsWithDestination(string $text): bool
    {
        return 1 === preg_match(\sprintf('/^(?:%s)?\s*(?:%s)/iu', $this->edge, $this->leads), $text) ||
            1 === preg_match(\sprintf('/[,:]\s*(?:%s)?(?:%s)/iu', $this->edge, $this->leads), $text);
    }

    /** A destination without the words around it: the last clause that leads somewhere, where there are several. */
    private function clean(string $text): string
    {
        $text = (string) preg_replace(
            \sprintf('/^.*[,:]\s*(?:(?:%s)\s+)*(?=(?:%s))/iu', $this->grammar->between, $this->leads),
            '',
            $text,
        );
        $text = (string) preg_replace(\sprintf('/^(?:%s)|(?:%1$s)$/iu', $this->edge), '', $text);
        $text = (string) preg_replace(\sprintf('/^(?:%s)\s*/iu', $this->leads), '', $text);

        return trim((string) preg_replace(\sprintf('/(?:%s)$/iu', $this->edge), '', $text), " \t,.:");
    }
}
