<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Outside\Lines;
use Meandros\Core\Value\Lists;

/**
 * Phones on a timeline of seconds. The first to take the call wins; when two do in the same second the one listed first
 * does. A phone's own mailbox takes calls like anybody, unless it is asked first. Busy, unreachable and switched-off
 * phones do not ring and take no time. docs/ringing.md has every rule.
 */
final class RingSimulation
{
    private readonly Timeline $timeline;
    private readonly Reach $reach;
    private readonly ?Channels $channels;
    /** @var array<string, int> by phone */
    private array $places = [];
    /** @var list<Ring> in the order in which they were dialled */
    private array $rings = [];
    /** @var array<string, Ring> the latest, by phone */
    private array $latest = [];
    /** @var list<Rung> phones for which no channel was free */
    private array $blocked = [];
    /** @var array<string, true> people who refuse for all their phones, and have refused */
    private array $refused = [];
    private int $connecting = 0;
    private bool $isOver = false;
    private ?Ring $winner = null;
    private ?string $announcedTo = null;
    /** @var array<string, string> what phones of a team that is paged would do, by phone */
    private array $paged = [];

    /**
     * @param array<string, int> $rangBefore seconds for which phones rang earlier in the call
     * @param array<string, int> $inUse      channels that are taken, by line
     */
    public function __construct(
        Assumptions $assumptions,
        private readonly ?Lines $lines,
        private array $rangBefore,
        array $inUse,
    ) {
        $this->timeline = new Timeline();
        $known = true === $lines?->areKnown() ? $lines : null;
        $this->reach = new Reach($assumptions, $known);
        $this->channels = null === $known ? null : new Channels($known, $inUse);
    }

    /**
     * @param list<RingMember> $members
     * @param int              $seconds the limit after which the call goes on
     * @param int|null         $left    seconds after which the caller is gone, whatever rings then; null for never
     */
    public function run(array $members, Pattern $pattern, int $seconds, ?int $left = null): RingResult
    {
        $listed = RingMember::listed($members);
        foreach ($listed as $phone) {
            $this->places[$phone->id] ??= \count($this->places);
        }
        $all = new Group(function (): void {
            $this->isOver = true;
        });
        $all->open();
        $pattern->begin($this, $members, 0, $seconds, $all);
        $all->close();
        $this->timeline->play(
            $left,
            fn(): bool => null !== $this->winner ||
                null !== $this->announcedTo ||
                ($this->isOver && 0 === $this->connecting),
        );

        $result = $this->result($listed);
        $this->timeline->clear();
        [$this->rings, $this->latest, $this->winner] = [[], [], null];

        return $result;
    }

    /** The second that it is now, for patterns. */
    public function second(): int
    {
        return $this->timeline->second();
    }

    /** Lets a member ring from a second on, as far as their phones can. */
    public function member(RingMember $member, int $from, int $until, Group $group): void
    {
        foreach ($member->stages as $stage) {
            $start = $from + $stage->after;
            $end = null === $stage->seconds ? $until : min($until, $start + $stage->seconds);
            if ($start >= $end) {
                continue;
            }
            foreach ($stage->phones as $phone) {
                if (null === $this->reach->silence($phone)) {
                    $group->open();
                    $this->timeline->at(
                        $start,
                        Phase::Begins,
                        $this->places[$phone->id],
                        fn() => $this->dial($phone, $end, $group),
                    );
                }
            }
            $stage->pattern?->begin($this, $stage->team, $start, $end, $group);
        }
    }

    /**
     * Does something when its second comes, of a team of which somebody could ring.
     *
     * @param list<RingMember> $members
     * @param \Closure(): void $do
     */
    public function at(int $second, array $members, Group $group, \Closure $do): void
    {
        $group->open();
        $this->timeline->at($second, Phase::TeamsBegin, $this->placeOf($members), static function () use (
            $group,
            $do,
        ): void {
            $do();
            $group->close();
        });
    }

    /** @param list<RingMember> $members */
    private function placeOf(array $members): int
    {
        $first = RingMember::listed($members)[0] ?? null;

        return null === $first ? 0 : $this->places[$first->id];
    }

    /** @param list<RingMember> $members */
    public function canRing(array $members): bool
    {
        foreach (RingMember::listed($members) as $phone) {
            if (null === $this->reach->silence($phone)) {
                return true;
            }
        }

        return false;
    }

    /**
     * Phones of a team that are free answer by themselves; who takes the call in that second and is listed before them is faster.
     *
     * @param list<RingMember> $members
     */
    public function page(string $team, array $members, int $from, Group $group): void
    {
        $somebodyHears = false;
        foreach (RingMember::listed($members) as $phone) {
            $this->paged[$phone->id] = $this->reach->whenPaged($phone);
            $somebodyHears = $somebodyHears || Rung::HEARS === $this->paged[$phone->id];
        }
        if ($somebodyHears) {
            $answer = function () use ($team): void {
                $this->announcedTo = null === $this->winner ? $team : null;
            };
            $this->at(
                $from,
                $members,
                $group,
                fn() => $this->timeline->at($from, Phase::Takes, $this->placeOf($members), $answer),
            );
        }
    }

    /** @return string|null null where it would have heard the caller, and the call did not come to that */
    private function ifPaged(RingPhone $phone): ?string
    {
        $why = $this->paged[$phone->id];

        return Rung::HEARS === $why && null === $this->announcedTo ? null : $why;
    }

    private function dial(RingPhone $phone, int $until, Group $group): void
    {
        $now = $this->second();
        $ring = $this->latest[$phone->id] ?? null;
        if (null !== $ring && ($ring->until >= $now || RingState::Connecting === $ring->state)) {
            $this->ringOn($ring, $until, $group);

            return;
        }
        if (isset($this->refused[$phone->owner->person ?? ''])) {
            $group->close();

            return;
        }
        $carried = new Carried();
        if (null !== $this->channels && null !== $this->lines && null !== $phone->outside) {
            $line = $this->channels->take($phone->outside->number, $phone->owner->site);
            if (null === $line) {
                $this->blocked[] = new Rung($phone, new RungTimes($now, $now), Rung::NO_CHANNEL);
                $group->close();

                return;
            }
            $carried = new Carried($line->id(), $this->lines->dialled($phone->outside->number, $line));
        }
        $this->rings[] = $this->latest[$phone->id] = $ring = new Ring(
            $phone,
            $now,
            $until,
            $this->places[$phone->id],
            $this->reach->fate($phone, $this->rangBefore[$phone->id] ?? 0),
            $carried,
        );
        $this->hold($ring, $until, $group);
        $this->await($ring);
    }

    /** Its stretch is longer than was known, unless it has fallen silent by itself. */
    private function ringOn(Ring $ring, int $until, Group $group): void
    {
        $now = $this->second();
        $ring->until = max($ring->until, $until);
        if (RingState::Silent === $ring->state) {
            $group->close();

            return;
        }
        if (RingState::Ended === $ring->state) {
            if (null !== $ring->carried->line) {
                $line = $this->channels
                    ?->take((string) $ring->phone->outside?->number, $ring->phone->owner->site)
                    ?->id();
                $ring->carried = new Carried($line, $ring->carried->dials);
                if (null === $line) {
                    $group->close();

                    return;
                }
            }
            $ring->state = RingState::Ringing;
            $this->rangBefore[$ring->phone->id] -= $ring->rangUntil($now);
            $this->await($ring);
        }
        $this->hold($ring, $until, $group);
    }

    private function hold(Ring $ring, int $until, Group $group): void
    {
        $ring->holds[] = [$until, $group];
        $this->timeline->at($until, Phase::Ends, $ring->place, fn() => $this->end($ring));
    }

    /** What is still to come of a phone that is left to ring. */
    private function await(Ring $ring): void
    {
        $fate = $ring->fate;
        if (null !== $fate->picksUpAfter && $ring->ringsFrom() + $fate->picksUpAfter >= $this->second()) {
            $this->timeline->at(
                $ring->ringsFrom() + $fate->picksUpAfter,
                Phase::Takes,
                $ring->place,
                fn() => $this->pickUp($ring),
            );
        }
        if (null !== $fate->refusesAfter && $ring->ringsFrom() + $fate->refusesAfter >= $this->second()) {
            $this->timeline->at(
                $ring->ringsFrom() + $fate->refusesAfter,
                Phase::FallsSilent,
                $ring->place,
                fn() => $this->refuse($ring),
            );
        }
    }

    private function end(Ring $ring): void
    {
        $now = $this->second();
        if (RingState::Ringing === $ring->state && $ring->until <= $now) {
            $ring->state = RingState::Ended;
            $ring->end = $now;
            $this->hangUp($ring);
        }
        $ring->letGo($now);
    }

    private function refuse(Ring $ring): void
    {
        if (RingState::Ringing !== $ring->state) {
            return;
        }
        $concerned = [$ring];
        if ($ring->phone->owner->refusesForAll && null !== $ring->phone->owner->person) {
            $this->refused[$ring->phone->owner->person] = true;
            $concerned = array_filter(
                $this->rings,
                static fn(Ring $other): bool => RingState::Ringing === $other->state &&
                    $other->phone->owner->person === $ring->phone->owner->person,
            );
        }
        foreach ($concerned as $one) {
            $this->fallSilent($one, Rung::REFUSED);
        }
    }

    private function fallSilent(Ring $ring, string $outcome): void
    {
        $this->hangUp($ring);
        $ring->fallSilent($this->second(), $outcome);
    }

    private function hangUp(Ring $ring): void
    {
        $this->rangBefore[$ring->phone->id] =
            ($this->rangBefore[$ring->phone->id] ?? 0) + $ring->rangUntil($this->second());
        if (null !== $ring->carried->line) {
            $this->channels?->give($ring->carried->line);
        }
    }

    /** Somebody, or the phone's own mailbox, picks up: digits are sent, then whoever it is may be asked. */
    private function pickUp(Ring $ring): void
    {
        if (RingState::Ringing !== $ring->state) {
            return;
        }
        $connected = $this->second() + ($ring->phone->outside?->digitSeconds() ?? 0);
        $ring->state = RingState::Connecting;
        ++$this->connecting;
        if (!$ring->phone->manner->askFirst) {
            $connected > $this->second()
                ? $this->timeline->at($connected, Phase::Takes, $ring->place, fn() => $this->take($ring))
                : $this->take($ring);

            return;
        }
        $ring->askedAt = $connected;
        if ($ring->fate->isMailbox) {
            $this->timeline->at(
                $connected + ($ring->phone->outside->confirm ?? 0),
                Phase::FallsSilent,
                $ring->place,
                function () use ($ring): void {
                    --$this->connecting;
                    $this->fallSilent($ring, Rung::MAILBOX_TURNED_AWAY);
                },
            );
        } else {
            $this->timeline->at($connected + Fate::ASK_SECONDS, Phase::Takes, $ring->place, fn() => $this->take($ring));
        }
    }

    private function take(Ring $ring): void
    {
        if (null === $this->winner && null === $this->announcedTo) {
            $this->winner = $ring;
            $ring->outcome = $ring->fate->isMailbox ? Rung::OWN_MAILBOX : Rung::ANSWERED;
        }
    }

    /** @param list<RingPhone> $listed */
    private function result(array $listed): RingResult
    {
        $rung = [...array_map($this->rung(...), $this->rings), ...$this->blocked];
        $seen = [];
        foreach ($rung as $one) {
            $seen[$one->phone->id] = true;
        }
        $silent = [];
        $now = $this->second();
        foreach ($listed as $phone) {
            if (isset($seen[$phone->id]) && null === $phone->manner->kept && !isset($this->paged[$phone->id])) {
                continue;
            }
            $why = isset($this->paged[$phone->id]) ? $this->ifPaged($phone) : $this->reach->silence($phone);
            if (null !== $why) {
                $silent[$phone->id . ' ' . $why] =
                    Rung::HEARS === $why
                        ? new Rung($phone, new RungTimes($now, $now), $why)
                        : new Rung($phone, new RungTimes(0, 0), $why);
            } else {
                $seen[$phone->id] = true;
                $rung[] = new Rung($phone, new RungTimes($now, $now), Rung::NOT_REACHED);
            }
        }
        $rung = [...$rung, ...array_values($silent)];

        $exit = null === $this->winner && null === $this->announcedTo ? RingResult::exit($this->rings, $rung) : null;

        return new RingResult(
            $rung,
            $this->winner?->phone,
            $this->announcedTo,
            $exit,
            $this->second(),
            [] !== $this->rings,
        );
    }

    private function rung(Ring $ring): Rung
    {
        $isOpen = Lists::has([RingState::Ringing, RingState::Connecting], $ring->state);
        $end = $isOpen ? $this->second() : $ring->end;
        $outcome =
            $isOpen && $ring !== $this->winner && (null !== $this->winner || null !== $this->announcedTo)
                ? Rung::TAKEN_ELSEWHERE
                : $ring->outcome;

        return new Rung(
            $ring->phone,
            new RungTimes(
                $ring->from,
                $end,
                $ring->ringsFrom() < $end || $ring === $this->winner ? $ring->ringsFrom() : null,
                $ring->askedAt,
            ),
            $outcome,
            $ring->carried,
        );
    }
}
