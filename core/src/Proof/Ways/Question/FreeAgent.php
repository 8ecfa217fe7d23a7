<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways\Question;

use Meandros\Core\Call\Behaviour;
use Meandros\Core\Call\PhoneAssumption;
use Meandros\Core\Plan\Element\Queue;
use Meandros\Core\Proof\Ways\Acts;
use Meandros\Core\Proof\Ways\Asking;
use Meandros\Core\Proof\Ways\Run;
use Meandros\Core\Ringing\Rung;
use Meandros\Core\Routing\Happening\QueueEntered;
use Meandros\Core\Value\Lists;

/**
 * One agent of a queue is free and takes the call: as soon as they can, and shortly before nobody is asked any longer. Asked when
 * there is time for it but once, what their phones do then they can do sooner, and later.
 */
final readonly class FreeAgent
{
    private const ANSWERS = [Behaviour::Answers];
    /** A phone outside that is busy or out of reach may hand the call to its own mailbox. */
    private const WITH_MAILBOX = [Behaviour::Answers, Behaviour::Busy, Behaviour::Unreachable];

    /** @var array<string, int> phones of theirs that did something else before, and the second since the step began from which on they may ring */
    private array $kept;
    /** @var \Closure(int): Acts nobody is free but the agent, from that second since the step began */
    private \Closure $free;
    private Run $run;
    /** Seconds for which they have other callers before this one. */
    private int $ahead;
    /** @var array<string, Rung> that ring when they are asked late */
    public array $phones;

    /**
     * @param \Closure(int): Acts $free  nobody is free but the agent, from that second since the step began
     * @param int                 $until second since the step began after which nobody is asked any longer
     */
    public function __construct(private Asking $at, Queue $queue, string $who, \Closure $free, private int $until)
    {
        $isTheirs = static fn(string $phone): bool => str_starts_with($phone, $who . '/');
        [$this->kept, $rings] = self::kept($at, $isTheirs);
        $this->free = $free = static fn(int $second): Acts => $free($second)->then($rings);
        $last = $until - $queue->agents->asking->alertSeconds;
        $run = $at->try($free(max($this->soonest(), $last)));
        $phones = $this->ringing($run, $isTheirs);
        $ahead = 0;
        if ([] === $phones) {
            // They may take callers of other queues first.
            $ahead = $this->asked($this->ringing($at->try($free($this->soonest())), $isTheirs)) - $this->soonest();
            $run = $at->try($free(max($this->soonest(), $last - $ahead)));
            $phones = $this->ringing($run, $isTheirs);
        }
        [$this->run, $this->phones, $this->ahead] = [$run, $phones, $ahead];
    }

    /**
     * What they did in the second in which the call comes here, or before within the step, they may have done then only.
     *
     * @param \Closure(string): bool $isTheirs
     *
     * @return array{array<string, int>, Acts} from when on their phones may ring, by phone; and that they do
     */
    private static function kept(Asking $at, \Closure $isTheirs): array
    {
        $did = array_filter($at->did(), $isTheirs, \ARRAY_FILTER_USE_KEY);
        $kept = array_fill_keys(array_keys($did), 1);
        $rings = new Acts();
        foreach (array_filter(array_keys(array_merge(...$at->acts->phones)), $isTheirs) as $phone) {
            $does = $at->acts->does($phone);
            if (null !== $does && !Lists::has([Behaviour::Rings, Behaviour::Answers], $does->does)) {
                $kept[$phone] = max($at->since, $does->from + 1);
                $ring = new PhoneAssumption($phone, Behaviour::Rings);
                $rings = $rings->then(Acts::ringing([$phone => $ring], $kept[$phone]));
            }
        }

        return [$kept, $rings];
    }

    /**
     * @param \Closure(string): bool $isTheirs
     *
     * @return array<string, Rung> phones of theirs that ring, by phone
     */
    private function ringing(Run $run, \Closure $isTheirs): array
    {
        $phones = [];
        $since = $this->at->stand()->walk->second() + $this->at->since;
        foreach ($run->walk->rung->all($since) as $rung) {
            $isAsked = $isTheirs($rung->phone->id) && null !== $rung->times->rings;
            $isAsked && ($phones[$rung->phone->id] ??= $rung);
        }

        return $phones;
    }

    /**
     * @param array<string, Rung> $phones
     *
     * @return int the second since the step began at which they are asked by these
     */
    private function asked(array $phones): int
    {
        $asked = array_map(static fn(Rung $one): int => $one->times->from, array_values($phones));

        return [] === $asked ? $this->soonest() : min($asked) - $this->at->stand()->walk->second();
    }

    /** @return list<array{soon: Acts, late: Acts}> whatever their phones do with which the call is taken, at its soonest and its latest */
    public function takes(): array
    {
        $settled = Acts::settling(array_keys($this->phones));
        $takes = [];
        if (null !== $this->run->ending && [] !== $this->phones) {
            // A phone that answers by itself, or its own mailbox after a while.
            $until = max(array_map(static fn(Rung $one): int => $one->times->until, array_values($this->phones)));
            $takes[] = $this->take($settled, $until, $this->soonest());
        }
        $like = [];
        foreach ($this->phones as $phone => $rung) {
            $first = $this->kept[$phone] ?? $this->at->since;
            $ringing = [$first, $rung->times->from, $rung->times->rings, $rung->times->until];
            // By which of their phones in the company they take it is all the same, where those ring alike.
            if (null === $rung->phone->outside && Lists::has($like, $ringing)) {
                continue;
            }
            null === $rung->phone->outside && ($like[] = $ringing);
            if (null !== $rung->times->askedAt) {
                $pickedUp = (int) $rung->times->rings + ($rung->phone->outside?->mailbox->after ?? 0);
                array_push($takes, ...$this->ifTaken($this->take($settled, $pickedUp, $this->soonest())));
            }
            foreach (null === $rung->phone->outside?->mailbox ? self::ANSWERS : self::WITH_MAILBOX as $does) {
                $acts = Acts::ringing([$phone => new PhoneAssumption($phone, $does)], $first);
                $take = $this->take($settled->then($acts), (int) $rung->times->rings, $first);
                array_push($takes, ...Behaviour::Answers === $does ? [$take] : $this->ifTaken($take));
            }
        }

        return $takes;
    }

    /**
     * @param int $taken second of the call at which it was taken when they were asked late
     * @param int $first since the step began at which they may be asked so
     *
     * @return array{soon: Acts, late: Acts}
     */
    private function take(Acts $acts, int $taken, int $first): array
    {
        $seconds = $taken - $this->at->stand()->walk->second() - $this->asked($this->phones);
        $late = max($first, $this->until - 1 - $seconds - $this->ahead);

        return ['soon' => ($this->free)($first)->then($acts), 'late' => ($this->free)($late)->then($acts)];
    }

    /**
     * Where a phone's own mailbox does not take the call, it is as if the agent was not free: unless it is asked until the wait would be
     * over. Whoever is called back is not there to be handed over.
     *
     * @param array{soon: Acts, late: Acts} $take
     *
     * @return list<array{soon: Acts, late: Acts}> that, or none
     */
    private function ifTaken(array $take): array
    {
        if (!($this->at->what instanceof QueueEntered)) {
            return [$take];
        }
        $late = $this->at->try($take['late']);

        return null !== $this->at->try($take['soon'])->ending || null !== $late->ending || $late->seconds > $this->until
            ? [$take]
            : [];
    }

    /** Who did something else in the second in which the call comes here may ring in the next one. */
    private function soonest(): int
    {
        return [] === $this->kept ? $this->at->since : max($this->kept);
    }
}
