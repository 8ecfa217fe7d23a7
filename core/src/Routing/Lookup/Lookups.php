<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Lookup;

use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\PlanHours;
use Meandros\Core\Routing\Holds;
use Meandros\Core\Time\Reading;

/** What a call looked up that depends on when it is, and the stretch of instants in which all of it would be the same. */
final class Lookups
{
    private ?int $holdsSince = null;
    private ?int $holdsUntil = null;
    private int $sameSince = \PHP_INT_MIN;
    private int $sameUntil = \PHP_INT_MAX;
    /** @var list<array{Lookup, string}> */
    private array $all = [];
    /** @var array{string, int}|null the hours that were read last, and when */
    private ?array $lastRead = null;

    /** @param int $instant at which the call began, Unix seconds */
    public function __construct(private readonly int $instant, private readonly PlanHours $hours) {}

    /** The state of hours at a second of the call. */
    public function read(Hours $hours, int $second): Reading
    {
        $reading = $this->hours->read($hours, $this->instant + $second);
        // The rules of a whole team ask for the same hours at the same second.
        if ($this->lastRead !== [$hours->id(), $second]) {
            $this->lastRead = [$hours->id(), $second];
            $lookup = new HoursLookup($hours, $second);
            $this->add($lookup, $lookup->found($reading->state, $reading->since, $reading->until), $second);
        }

        return $reading;
    }

    /** Whether an instant (Unix seconds) has passed at a second of the call. */
    public function hasPassed(int $instant, int $second): bool
    {
        $lookup = new InstantLookup($instant, $second);
        $found = $lookup->at($this->instant, $this->hours);
        $this->add($lookup, $found, $second);

        return InstantLookup::PASSED === $found->answer;
    }

    /** @return array<string, string> what fills the blanks of a prompt at a second of the call, by blank */
    public function fill(BlanksLookup $lookup, int $second): array
    {
        $this->add($lookup, $lookup->at($this->instant, $this->hours), $second);

        return $lookup->look($this->instant, $this->hours)[0];
    }

    private function add(Lookup $lookup, Found $found, int $second): void
    {
        $this->all[] = [$lookup, $found->answer];
        if (null !== $found->since) {
            $this->holdsSince = max($this->holdsSince ?? \PHP_INT_MIN, $found->since);
            $this->sameSince = max($this->sameSince, $found->since + $second);
        }
        if (null !== $found->until) {
            $this->holdsUntil = min($this->holdsUntil ?? \PHP_INT_MAX, $found->until);
            $this->sameUntil = min($this->sameUntil, $found->until + $second);
        }
    }

    /** How many times something was looked up. */
    public function count(): int
    {
        return \count($this->all);
    }

    public function holds(): Holds
    {
        return new Holds($this->holdsSince, $this->holdsUntil, $this->all);
    }

    /**
     * Seconds of the call between which whatever was looked up is the same whenever it is looked up.
     *
     * @return array{int, int} the first of them, and the first after them
     */
    public function isSame(): array
    {
        return [
            \PHP_INT_MIN === $this->sameSince ? \PHP_INT_MIN : $this->sameSince - $this->instant,
            \PHP_INT_MAX === $this->sameUntil ? \PHP_INT_MAX : $this->sameUntil - $this->instant,
        ];
    }
}
