<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\TrialCall;
use Meandros\Core\Outside\Lines;
use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Element\Status;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\PlanHours;
use Meandros\Core\Ringing\Rung;
use Meandros\Core\Routing\Happening\Happening;
use Meandros\Core\Routing\Happening\HoursRead;
use Meandros\Core\Time\Reading;

/** A call on its way: its clock, where it is, and what has happened to it so far. */
final class Walk
{
    public const MOST_STEPS = 250;
    public const MOST_SECONDS = 14400;

    private int $second = 0;
    private int $keysTaken = 0;
    private ?string $journey = null;
    private ?string $step = null;
    private ?int $holdsSince = null;
    private ?int $holdsUntil = null;
    /** @var list<Event> */
    private array $events = [];
    /** @var list<Visit> */
    private array $visits = [];
    /** @var list<Rung> */
    private array $rung = [];
    /** @var array<string, int> seconds for which phones rang, by phone */
    private array $rungSeconds = [];

    /** @param array<string, Status> $statuses live, by person */
    public function __construct(
        public readonly Plan $plan,
        public readonly TrialCall $call,
        public readonly Assumptions $assumptions,
        private readonly PlanHours $hours,
        public readonly string $label,
        public readonly string $language,
        private readonly array $statuses = [],
        public readonly ?Lines $lines = null,
    ) {
    }

    /** Seconds since the call began. */
    public function second(): int
    {
        return $this->second;
    }

    public function lastStep(): ?string
    {
        return $this->step;
    }

    public function enter(string $journey, string $step): void
    {
        $this->journey = $journey;
        $this->step = $step;
        if (\count($this->visits) >= self::MOST_STEPS) {
            throw new CallOver(new Ending(EndingKind::LoopStopped));
        }
    }

    public function leave(int $since, ?string $exit, bool $exitTaken): void
    {
        $this->visits[] = new Visit((string) $this->journey, (string) $this->step, $since, $this->second, $exit, $exitTaken);
    }

    public function note(Happening $happening, ?int $second = null): void
    {
        $this->events[] = new Event($second ?? $this->second, $this->journey, $this->step, $happening);
    }

    /** @throws CallOver when the caller gives up, or the call has lasted too long */
    public function pass(int $seconds): void
    {
        $left = $this->secondsLeft();
        if (null !== $left && $seconds >= $left) {
            $this->second += $left;
            throw new CallOver(new Ending(EndingKind::CallerGaveUp));
        }
        $this->second += $seconds;
        if ($this->second > self::MOST_SECONDS) {
            throw new CallOver(new Ending(EndingKind::LoopStopped));
        }
    }

    /** @return int|null seconds until the caller gives up; null when they never do */
    public function secondsLeft(): ?int
    {
        $patience = $this->assumptions->patienceSeconds;

        return null === $patience ? null : max(0, $patience - $this->second);
    }

    /** The language that the prompt is heard in, and for how many seconds. */
    public function hear(?Prompt $prompt): Heard
    {
        $language = $prompt?->languageFor($this->language) ?? $this->language;

        return new Heard($prompt?->id(), $language, $prompt?->seconds($language) ?? 0);
    }

    /** The next key that the caller presses, if any is left. */
    public function takeKey(): ?string
    {
        $key = $this->assumptions->keys[$this->keysTaken] ?? null;
        ++$this->keysTaken;

        return $key;
    }

    /** The state of the hours at this second of the call; narrows the stretch in which the trace holds. */
    public function read(Hours $hours): Reading
    {
        $reading = $this->hours->read($hours, $this->call->instant + $this->second);
        $this->holds($reading->since, $reading->until);

        return $reading;
    }

    /** Whether an instant (Unix seconds) has passed at this second of the call. */
    public function hasPassed(int $instant): bool
    {
        $passed = $this->call->instant + $this->second >= $instant;
        $this->holds($passed ? $instant : null, $passed ? null : $instant);

        return $passed;
    }

    /** Narrows the stretch of instants in which the trace holds by one that was looked up at this second. */
    private function holds(?int $since, ?int $until): void
    {
        if (null !== $since) {
            $this->holdsSince = max($this->holdsSince ?? \PHP_INT_MIN, $since - $this->second);
        }
        if (null !== $until) {
            $this->holdsUntil = min($this->holdsUntil ?? \PHP_INT_MAX, $until - $this->second);
        }
    }

    public function noteHours(?Hours $hours, ?Reading $reading, bool $hasExit): void
    {
        $this->note(new HoursRead($hours?->id(), $reading, null === $hours ? 'UTC' : $this->hours->zone($hours), $hasExit));
    }

    /** @param list<Rung> $rung in seconds since the call began */
    public function rang(array $rung): void
    {
        array_push($this->rung, ...$rung);
        foreach ($rung as $one) {
            $this->rungSeconds[$one->phone->id] = ($this->rungSeconds[$one->phone->id] ?? 0) + $one->until - $one->from;
        }
    }

    /** @return array<string, int> by phone */
    public function rungSeconds(): array
    {
        return $this->rungSeconds;
    }

    public function statusOf(string $person): Status
    {
        return $this->assumptions->statuses[$person] ?? $this->statuses[$person] ?? Status::Available;
    }

    public function stepsTaken(): int
    {
        return \count($this->visits);
    }

    public function trace(Ending $ending): Trace
    {
        return new Trace($this->call, $this->events, $this->visits, $this->rung, $ending, $this->second, $this->label, $this->language, $this->holdsSince, $this->holdsUntil);
    }
}
