<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways;

use Meandros\Core\Call\TrialCall;
use Meandros\Core\Routing\Ending;
use Meandros\Core\Routing\Itinerary;
use Meandros\Core\Routing\Walk;

/** A place at which calls stand between two steps, all of them going on alike; where they can get from there in one step. */
final class Stand
{
    /** @var array<string, Leg> by the key of the next place */
    public array $legs = [];
    /** @var array<string, array{Ending, Leg}> by ending */
    public array $ends = [];
    /** @var array<string, true> places and endings to which calls come after going round at the step as often as they like */
    public array $afterRounds = [];
    /** Equal for the same place at whatever second. */
    public string $name = '';
    public string $key = '';
    /** The key of the same place at which it is not known what phones did in the very second; its own where it is not. */
    public string $beside = '';
    /** From which it was come to first. */
    public ?self $before = null;
    /** What calls carry that stand here; empty where that was not asked yet. */
    public string $carries = '';
    private ?string $did = null;
    /** How long callers are there who may give up, until calls end; null where none does. */
    public ?Leg $there = null;
    /** @var array{int, int} seconds of the call between which whatever is looked up at the step is the same: the first, and the first after */
    private array $same = [\PHP_INT_MIN, \PHP_INT_MAX];

    /** @param Acts $acts by which the call came here that was the first to, but for what phones did */
    public function __construct(
        public readonly Walk $walk,
        public readonly Itinerary $way,
        public readonly Acts $acts,
        public readonly JustNow $justNow = new JustNow(),
    ) {}

    /** @param bool $afterRounds whether calls may go round at the step before, as often as they like */
    public function leads(string $to, Leg $leg, bool $afterRounds): void
    {
        $afterRounds && ($this->afterRounds[$to] = true);
        $this->legs[$to] = isset($this->legs[$to]) ? $this->legs[$to]->or($leg) : $leg;
    }

    public function ends(Ending $ending, Leg $leg, bool $afterRounds): void
    {
        $key = self::keyOf($ending);
        $afterRounds && ($this->afterRounds[$key] = true);
        $this->ends[$key] = [$ending, isset($this->ends[$key]) ? $this->ends[$key][1]->or($leg) : $leg];
    }

    /** Whether calls come from here to one place for as long as they do to another one. */
    public function leadsAsLong(string $to, string $other): bool
    {
        $isLong = isset($this->legs[$to]) && $this->legs[$to]->most >= $this->legs[$other]->most;

        return $isLong && (isset($this->afterRounds[$to]) || !isset($this->afterRounds[$other]));
    }

    /** Callers are there for so long, be it that something goes on after they have hung up. */
    public function stays(?Leg $there): void
    {
        $this->there = null === $there ? $this->there : $this->there?->or($there) ?? $there;
    }

    /** @return string|null the key of a place before this one that is the same at another second: calls go round */
    public function wasBefore(): ?string
    {
        for ($one = $this->before; null !== $one; $one = $one->before) {
            if ($one->name === $this->name) {
                return $one->key;
            }
        }

        return null;
    }

    /** Equal for those at which phones did the same in the very second in which calls come there. */
    public function did(): string
    {
        return $this->did ??= $this->justNow->key();
    }

    /** @param array{int, int} $seconds of the call between which what was looked up at the step is the same */
    public function looks(array $seconds): void
    {
        $this->same = [max($this->same[0], $seconds[0]), min($this->same[1], $seconds[1])];
    }

    /**
     * Whether whatever is looked up at the step is the same for all calls that come here.
     *
     * @param int|null $most seconds at which they come here at most; null where they may go round
     */
    public function isSteady(int $least, ?int $most): bool
    {
        $legs = [...array_values($this->legs), ...array_column(array_values($this->ends), 1)];
        $longest = max([0, ...array_map(static fn(Leg $leg): int => $leg->most, $legs)]);
        // However often they go round, no call lasts longer than that.
        $last = null === $most || [] !== $this->afterRounds ? TrialCall::MOST_SECONDS - 1 : $most + $longest;

        return $this->same[0] <= $least && $last < $this->same[1];
    }

    public static function keyOf(Ending $ending): string
    {
        return $ending->kind->value . ' ' . $ending->who . ' ' . (null === $ending->who ? $ending->phone : '');
    }
}
