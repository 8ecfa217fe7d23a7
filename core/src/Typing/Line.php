<?php

declare(strict_types=1);

namespace Meandros\Core\Typing;

use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\PlainLetters;

/** A typed line, read from its beginning: words, seconds, and the names of what is in the plan. */
final class Line
{
    /** Names that are offered where one is not there. */
    private const MOST_OFFERED = 8;

    private int $at = 0;
    /** @var list<array{kind: string, name: string}> what is named and not there yet */
    public array $made = [];
    /** @var list<string> lines that go on from here */
    public array $offers = [];

    /** @param string $country whose national format is understood */
    public function __construct(
        public readonly string $text,
        private readonly Plan $plan,
        private readonly string $country,
    ) {}

    public function isOver(): bool
    {
        return '' === trim($this->rest(), ' ,');
    }

    public function rest(): string
    {
        return substr($this->text, $this->at);
    }

    /** Characters that are read already. */
    public function at(): int
    {
        return mb_strlen(substr($this->text, 0, $this->at));
    }

    /**
     * What stands here, where it is such a word: nothing of it is part of a longer one.
     *
     * @param string $pattern of a regular expression
     *
     * @return array<string>|null its groups
     */
    public function take(string $pattern): ?array
    {
        if (1 !== preg_match('/\G[ ,]*(?:' . $pattern . ')(?![\p{L}\d])/iu', $this->text, $found, 0, $this->at)) {
            return null;
        }
        $this->at += \strlen($found[0]);

        return $found;
    }

    public function seconds(): ?int
    {
        $found = $this->take('(?:for )?(\d{1,5}) ?s(?:ec(?:onds)?)?');

        return null === $found ? null : (int) $found[1];
    }

    /**
     * The longest name that stands here of what is in the plan; otherwise the words up to a comma or to one of the words that
     * end a name, of what is to be made.
     *
     * @param list<Kind>   $kinds of which it may be; the first is made
     * @param list<string> $ends  patterns of words that end a new name
     *
     * @return string|null an id, or "new:" and the place in what is made; null where nothing stands here
     */
    public function name(array $kinds, array $ends = []): ?string
    {
        $rest = ltrim($this->rest(), ' ,');
        $best = $this->longest($rest, $kinds);
        if (null !== $best) {
            $this->at = \strlen($this->text) - \strlen($rest) + \strlen(mb_substr($rest, 0, mb_strlen($best->name())));

            return $best->id();
        }
        $pattern =
            '/^(.+?)(?=$|,' .
            implode('', array_map(static fn(string $end): string => '|\s+(?:' . $end . ')(?![\p{L}\d])', $ends)) .
            ')/iu';
        if (1 !== preg_match($pattern, $rest, $found)) {
            $this->offerNames('', $kinds);

            return null;
        }
        $this->offerNames(trim($found[1]), $kinds);
        $this->at = \strlen($this->text) - \strlen($rest) + \strlen($found[1]);
        $this->made[] = ['kind' => $kinds[0]->value, 'name' => trim($found[1])];

        return 'new:' . (\count($this->made) - 1);
    }

    /** Hours that are named here; where none are, the only ones that have a state of the name that stands here. */
    public function hours(): ?Hours
    {
        $named = $this->longest(ltrim($this->rest(), ' ,'), [Kind::Hours]);
        if ($named instanceof Hours) {
            $this->name([Kind::Hours]);

            return $named;
        }
        $fits = [];
        foreach ($this->plan->all(Hours::class) as $hours) {
            foreach ($hours->states->all as $state) {
                if (
                    1 ===
                    preg_match(
                        '/^(?:is )?' . preg_quote($state->name, '/') . '(?![\p{L}\d])/iu',
                        ltrim($this->rest(), ' ,'),
                    )
                ) {
                    $fits[$hours->id()] = $hours;
                }
            }
        }
        if (1 !== \count($fits)) {
            $this->offerNames('', [Kind::Hours]);
        }

        return 1 === \count($fits) ? array_values($fits)[0] : null;
    }

    /** @param list<string> $words that may stand here */
    public function offer(array $words): void
    {
        foreach ($words as $word) {
            $this->offers[] = rtrim(substr($this->text, 0, $this->at)) . ' ' . $word;
        }
    }

    /** A phone number as it is dialled, in E.164. */
    public function number(): ?string
    {
        $at = $this->at;
        $found = $this->take('(\+?[\d (][\d ()-]{4,}\d)');
        try {
            return null === $found ? null : PhoneNumber::parse($found[1], $this->country);
        } catch (InvalidData) {
            $this->at = $at;

            return null;
        }
    }

    /**
     * Accents and capitals do not count, but between names that differ in nothing else.
     *
     * @param list<Kind> $kinds
     */
    private function longest(string $rest, array $kinds): ?Element
    {
        $best = null;
        $fit = [0, false];
        foreach ($this->names($kinds) as $id => $name) {
            $typed = mb_substr($rest, 0, mb_strlen($name));
            $its = [mb_strlen($name), mb_strtolower($typed) === mb_strtolower($name)];
            if (
                $its > $fit &&
                PlainLetters::of($typed) === PlainLetters::of($name) &&
                1 !== preg_match('/^[\p{L}\d]/u', substr($rest, \strlen($typed)))
            ) {
                [$best, $fit] = [$id, $its];
            }
        }

        return $this->plan->find($best);
    }

    /** @param list<Kind> $kinds */
    private function offerNames(string $part, array $kinds): void
    {
        $before = rtrim(substr($this->text, 0, $this->at));
        foreach ($this->names($kinds) as $name) {
            if (
                \count($this->offers) < self::MOST_OFFERED &&
                str_contains(PlainLetters::of($name), PlainLetters::of($part))
            ) {
                $this->offers[] = $before . ' ' . $name;
            }
        }
    }

    /**
     * @param list<Kind> $kinds
     *
     * @return iterable<string, string> by id
     */
    private function names(array $kinds): iterable
    {
        foreach ($kinds as $kind) {
            yield from $this->plan->names($kind);
        }
    }
}
