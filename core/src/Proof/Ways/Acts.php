<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\Behaviour;
use Meandros\Core\Call\KeyPress;
use Meandros\Core\Call\PhoneAssumption;

/**
 * What callers press, what phones do and how queues stand on a way through a plan, in seconds since the way began. What is not
 * said rings, is not pressed, and is free for nobody.
 */
final class Acts
{
    public readonly Presses $presses;
    public readonly Stated $stated;
    private ?int $count = null;

    /**
     * @param array<int, array<string, PhoneAssumption>> $phones  by second and phone
     * @param array<string, int>                         $settled phones that ring on, and what else was settled, and since when
     * @param int|null                                   $hangsUp when a caller hangs up who keeps a place; null where they stay on
     */
    public function __construct(
        ?Presses $presses = null,
        public readonly array $phones = [],
        ?Stated $stated = null,
        public readonly array $settled = [],
        public readonly ?int $hangsUp = null,
    ) {
        $this->presses = $presses ?? Presses::none();
        $this->stated = $stated ?? Stated::none();
    }

    /** At a menu. */
    public static function pressing(KeyPress $key): self
    {
        return new self(new Presses([$key]));
    }

    /** At a step that heeds keys meanwhile. */
    public static function pressingMeanwhile(KeyPress $key): self
    {
        return new self(new Presses([], [$key]));
    }

    /** At one of these, where it was said that something else is pressed, or nothing. */
    public static function pressingInstead(int $place, KeyPress $key): self
    {
        return new self(new Presses([], [], [$place => $key]));
    }

    /** As soon as they can. */
    public static function hangingUp(): self
    {
        return new self(hangsUp: 1);
    }

    /** @param list<string> $what phones that ring on, and what else is settled */
    public static function settling(array $what, int $since = 0): self
    {
        return new self(settled: array_fill_keys($what, $since));
    }

    /**
     * @param array<string, PhoneAssumption> $phones by phone
     * @param int                            $since  from which second on
     */
    public static function ringing(array $phones, int $since = 0): self
    {
        return (new self(phones: [] === $phones ? [] : [$phones]))->later($since);
    }

    /** Whether it is said what a phone does. */
    public function says(string $phone): bool
    {
        return isset($this->settled[$phone]) || null !== $this->does($phone);
    }

    /** Whether a phone that did not answer before may do something else when it is rung at a later second. */
    public function mayDoElse(string $phone, int $second): bool
    {
        $does = $this->does($phone);
        $isSettled = ($this->settled[$phone] ?? -1) >= $second;

        return match ($does?->does) {
            null => !$isSettled && isset($this->settled[$phone]),
            Behaviour::Answers => false,
            Behaviour::Rings => !$isSettled,
            default => $does->from < $second,
        };
    }

    /** What a phone does in the end, as far as it is said. */
    public function does(string $phone): ?PhoneAssumption
    {
        $does = null;
        foreach ($this->phones as $some) {
            $one = $some[$phone] ?? null;
            $does = null !== $one && $one->from >= ($does->from ?? 0) ? $one : $does;
        }

        return $does;
    }

    public function then(self $later): self
    {
        if ($later->isNothing()) {
            return $this;
        }
        if ($this->isNothing()) {
            return $later;
        }
        $phones = $this->phones;
        foreach ($later->phones as $second => $some) {
            $phones[$second] = $some + ($phones[$second] ?? []);
        }

        return new self(
            $this->presses->then($later->presses),
            $phones,
            $this->stated->then($later->stated),
            $later->settled + $this->settled,
            $later->hangsUp ?? $this->hangsUp,
        );
    }

    /** But for what phones do. */
    public function withoutPhones(): self
    {
        return [] === $this->phones ? $this : new self($this->presses, [], $this->stated);
    }

    private function isNothing(): bool
    {
        return [] === $this->phones &&
            [] === $this->settled &&
            $this->presses->isNothing() &&
            null === $this->hangsUp &&
            $this->stated->isNothing();
    }

    /** The same on a way that begins so many seconds earlier. */
    public function later(int $seconds): self
    {
        if (0 === $seconds || ([] === $this->phones && [] === $this->stated->queues && null === $this->hangsUp)) {
            return $this;
        }
        $phones = [];
        foreach ($this->phones as $second => $some) {
            foreach ($some as $phone => $one) {
                $phones[$second + $seconds][$phone] = new PhoneAssumption(
                    $one->who,
                    $one->does,
                    $one->afterSeconds,
                    $second + $seconds,
                );
            }
        }

        return new self(
            $this->presses,
            $phones,
            $this->stated->later($seconds),
            $this->settled,
            null === $this->hangsUp ? null : $this->hangsUp + $seconds,
        );
    }

    /**
     * Exactly so many presses as were asked for, as what is left over would be taken by a later step, and nothing that phones would
     * do later; and it is said of each phone that it rings from when it is first looked at what it does, as it may have done something
     * else before.
     *
     * @param int                $seconds after which the step was over
     * @param array<string, int> $looked  the second at which it was first looked at what a phone does, by phone
     * @param bool               $hungUp  whether it came to that the caller hung up
     */
    public function asked(int $seconds, int $keys, int $meanwhile, array $looked, bool $hungUp): self
    {
        $phones = $this->phones;
        $since = [];
        foreach ($this->phones as $second => $some) {
            foreach ($some as $phone => $_) {
                $since[$phone] = min($second, $since[$phone] ?? $second);
            }
            if ($second > $seconds) {
                unset($phones[$second]);
            }
        }
        foreach ($looked as $phone => $second) {
            if ($second < ($since[$phone] ?? \PHP_INT_MAX)) {
                $phones[$second][$phone] = new PhoneAssumption($phone, Behaviour::Rings, null, $second);
            }
        }

        return new self(
            $this->presses->asked($keys, $meanwhile),
            $phones,
            $this->stated,
            hangsUp: $hungUp ? $this->hangsUp : null,
        );
    }

    /**
     * As people are told: what is said of phones first holds all along, as they were not looked at before.
     *
     * @param Assumptions $given of which only what the company and earlier calls do counts
     */
    public function inShort(Assumptions $given, ?int $patience = null): Assumptions
    {
        $first = [] === $this->stated->queues ? min([\PHP_INT_MAX, ...array_keys($this->phones)]) : null;
        $short = array_map(
            static fn(PhoneAssumption $one): PhoneAssumption => $one->from === $first
                ? new PhoneAssumption($one->who, $one->does, $one->afterSeconds)
                : $one,
            $this->said(),
        );

        return $this->within($given, $patience, $short);
    }

    /**
     * @param Assumptions                $given of which only what the company and earlier calls do counts
     * @param list<PhoneAssumption>|null $said  of phones, where it is not what these say
     */
    public function within(Assumptions $given, ?int $patience = null, ?array $said = null): Assumptions
    {
        return new Assumptions(
            $this->stated->by($this->presses, $given->caller, $patience ?? $this->hangsUp),
            $said ?? $this->said(),
            $this->stated->around($given->circumstances),
            $given->earlier,
            $this->stated->parked->parked ?? $given->parked,
        );
    }

    /**
     * Of a call that goes on so at a second, having come there by other acts that say nothing of phones.
     *
     * @param Assumptions $given of which only what the company and earlier calls do counts
     */
    public function after(self $before, int $second, Assumptions $given): Assumptions
    {
        $on = new self(
            $before->presses->then($this->presses),
            [],
            $before->stated->then($this->stated->later($second)),
            hangsUp: null === $this->hangsUp ? $before->hangsUp : $this->hangsUp + $second,
        );

        return $on->within($given, null, $this->said($second));
    }

    /**
     * Nothing is said of phones that ring, unless they did something else before.
     *
     * @param int $later seconds by which they do it later
     *
     * @return list<PhoneAssumption>
     */
    private function said(int $later = 0): array
    {
        $phones = $this->phones;
        ksort($phones);
        $said = $last = [];
        foreach ($phones as $second => $some) {
            foreach ($some as $phone => $one) {
                if (Behaviour::Rings !== ($last[$phone] ?? Behaviour::Rings) || Behaviour::Rings !== $one->does) {
                    $said[] =
                        0 === $later
                            ? $one
                            : new PhoneAssumption($one->who, $one->does, $one->afterSeconds, $second + $later);
                }
                $last[$phone] = $one->does;
            }
        }

        return $said;
    }

    /** How much has to be said. */
    public function count(): int
    {
        return $this->count ??= \count($this->said()) + $this->presses->count() + \count($this->stated->queues);
    }

    /** Equal for two by which calls fare alike. */
    public function key(): string
    {
        $key = $this->presses->key();
        foreach ($this->phones as $second => $some) {
            foreach ($some as $phone => $one) {
                $key .= "\n" . $second . ' ' . $phone . ' ' . $one->does->value . ' ' . $one->afterSeconds;
            }
        }

        return $key .
            (null === $this->hangsUp ? '' : "\nhangs up " . $this->hangsUp) .
            ($this->stated->isNothing() ? '' : serialize($this->stated));
    }
}
