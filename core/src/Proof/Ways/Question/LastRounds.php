<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways\Question;

use Meandros\Core\Call\Behaviour;
use Meandros\Core\Call\PhoneAssumption;
use Meandros\Core\Call\TrialCall;
use Meandros\Core\Proof\Ways\Acts;
use Meandros\Core\Proof\Ways\Asking;
use Meandros\Core\Ringing\Rung;
use Meandros\Core\Routing\Answering\Persistence;
use Meandros\Core\Routing\Event;
use Meandros\Core\Routing\Happening\Ringing;
use Meandros\Core\Routing\Happening\TriesAgain;

/**
 * Last rounds of phones that ring round after round, by the seconds in which they begin that matter. Until then phones refuse,
 * the first of them as late as it takes, and ring on in rounds of full length.
 */
final readonly class LastRounds
{
    /** @var list<array{Acts, Asking}> what phones do before each, and what is asked in it */
    public array $all;
    /** Whether phones can be brought to begin each of them. */
    public bool $areAll;
    private Ringing $ringing;
    /** When the time for rounds is over; as all seconds, since the step began. */
    public int $end;
    /** When the first round begins. */
    private int $began;

    /**
     * @param int                 $next  when the second round begins; all seconds are since the step began
     * @param int|null            $every seconds from one round of full length to the next; null where there is but one
     * @param array<string, Rung> $on    phones that ring in the second round where all ring on
     * @param list<string>        $open  phones that ring where all refuse, in the order in which they do
     */
    private function __construct(
        private Asking $at,
        Event $ringing,
        private int $next,
        private ?int $every,
        private array $on,
        private array $open,
    ) {
        \assert($ringing->happening instanceof Ringing && $at->what instanceof TriesAgain);
        $this->ringing = $ringing->happening;
        $this->began = $ringing->second - $at->stand()->walk->second();
        $this->end = $this->began + 60 * $at->what->minutes;
        $all = [];
        $areAll = true;
        foreach ($this->starts() as $start) {
            $one = $this->at($start);
            null === $one || ($all[] = $one);
            // Where the first one can be over sooner, they are asked from there on, too.
            $isTried = $start < $next + Persistence::PAUSE && $next > $this->soonest();
            $areAll = $areAll && ($isTried || null !== $one);
        }
        [$this->all, $this->areAll] = [$all, $areAll];
    }

    /** Null where it is not these phones that ring, but a call comes back in. */
    public static function of(Asking $at): ?self
    {
        $ringing = self::ringing($at);
        if (null === $ringing || !($ringing->happening instanceof Ringing)) {
            return null;
        }
        $second = static fn(Behaviour $does): Acts => self::alike($ringing->happening, $does, $at->since + 1);
        $rung = self::rung($at, $second(Behaviour::Rings), $at->since + 1);
        $on = array_filter($rung, static fn(array $rung): bool => RingWindow::comesUp($rung[0]));
        $refusing = self::rung($at, $second(Behaviour::Refuses), $at->since + 1);
        $first = reset($on) ?: (reset($rung) ?: []);
        // Where the call is over before, there is none.
        $next = ($first[0]->times->from ?? TrialCall::MOST_SECONDS) - $at->stand()->walk->second();

        return new self(
            $at,
            $ringing,
            $next,
            isset($first[1]) ? $first[1]->times->from - $first[0]->times->from : null,
            array_map(static fn(array $rung): Rung => $rung[0], $on),
            array_keys(array_filter($refusing, static fn(array $rung): bool => Rung::REFUSED === $rung[0]->outcome)),
        );
    }

    /** When phones rang in the first round. */
    public static function ringing(Asking $at): ?Event
    {
        $ringing = null;
        foreach ($at->run->walk->events() as $event) {
            if ($event->happening === $at->what) {
                return $ringing?->journey === $event->journey && $ringing?->step === $event->step ? $ringing : null;
            }
            $ringing = $event->happening instanceof Ringing ? $event : $ringing;
        }

        return null;
    }

    /**
     * So that it is over as soon, or as late, as it can be with which calls go on, and that it is over before the next phone rings.
     *
     * @return list<int>
     */
    private function starts(): array
    {
        if ([] === $this->on) {
            return $this->next < $this->end ? [$this->silent()] : [];
        }
        $lasts = [0, $this->ringing->limitSeconds, Persistence::SILENT_ROUND];
        $shorter = [1];
        $began = $this->at->stand()->walk->second() + $this->next;
        foreach ($this->on as $one) {
            $lasts[] = $one->times->until - $began;
            array_push($shorter, $one->times->from - $began, $one->times->from - $began + 1);
        }
        $starts = [];
        foreach ($lasts as $seconds) {
            array_push($starts, $this->end - Persistence::PAUSE - $seconds, $this->end - $seconds);
        }
        foreach ($shorter as $seconds) {
            $starts[] = $this->end - $seconds;
        }
        $starts = array_unique($starts);
        sort($starts);

        return array_values(
            array_filter($starts, fn(int $start): bool => $start >= $this->next && $start < $this->end),
        );
    }

    /** When the last round begins where nothing rings whatever phones do: all rounds are of one length. */
    private function silent(): int
    {
        $every = Persistence::SILENT_ROUND + Persistence::PAUSE;

        return $this->next + $every * max(0, intdiv($this->end - $this->next - 1, $every));
    }

    /** @return array{Acts, Asking}|null null where phones do not come to begin a round then */
    private function at(int $start): ?array
    {
        $full =
            null === $this->every
                ? $start
                : $this->next +
                    Persistence::PAUSE +
                    self::rest($start - $this->next - Persistence::PAUSE, $this->every);
        $isSecond = $start < $this->next + Persistence::PAUSE;
        foreach ($isSecond ? [$start] : array_unique([$full, $start]) as $ringOn) {
            $before = match (true) {
                $start === $this->next => new Acts(),
                $isSecond => $this->refuse($this->began, $start - $this->next),
                default => $this->until($ringOn),
            };
            $acts = $before->then(self::alike($this->ringing, Behaviour::Rings, $start));
            $rung = array_map(static fn(array $rung): Rung => $rung[0], self::rung($this->at, $acts, $start));
            $first = min([
                \PHP_INT_MAX,
                ...array_map(static fn(Rung $one): int => $one->times->from, array_values($rung)),
            ]);
            if ($first === $start + $this->at->stand()->walk->second()) {
                $what = new Ringing(
                    $this->ringing->target,
                    array_values($rung),
                    $this->ringing->seconds,
                    $this->ringing->limitSeconds,
                    $this->ringing->exit,
                    $this->ringing->why,
                );

                $last = $this->at->at($this->at->try($acts), $before, $what, $start);
                // Somebody may take the call sooner in a round before.
                [$last->isSoonest, $last->isLatest] = [false, true];

                return [$before, $last];
            }
        }

        return null;
    }

    /** The soonest second in which a second round may begin. */
    private function soonest(): int
    {
        $refuse = self::alike($this->ringing, Behaviour::Refuses, $this->began);
        $rung = self::rung($this->at, $refuse, $this->began);
        $second = (reset($rung) ?: [])[1] ?? null;

        return null === $second ? $this->next : $second->times->from - $this->at->stand()->walk->second();
    }

    /** Phones refuse, the first of them as late as it takes in the second round, so that one begins at that second from which on they ring. */
    private function until(int $second): Acts
    {
        return $this->refuse($this->at->since + 1, self::rest($second - $this->next, Persistence::PAUSE))
            ->then($this->refuse($this->next + 1, 0))
            ->then(self::alike($this->ringing, Behaviour::Rings, $second));
    }

    /** @param int $late seconds after which the first of them does; the others do at once */
    private function refuse(int $since, int $late): Acts
    {
        $refuse = [];
        foreach ($this->open as $phone) {
            $refuse[$phone] = new PhoneAssumption($phone, Behaviour::Refuses, [] === $refuse ? $late : 0);
        }

        return Acts::ringing($refuse, $since);
    }

    private static function rest(int $seconds, int $of): int
    {
        return (($seconds % $of) + $of) % $of;
    }

    private static function alike(Ringing $ringing, Behaviour $does, int $since): Acts
    {
        $alike = [];
        foreach ($ringing->rung as $one) {
            $after = Behaviour::Refuses === $does ? 0 : null;
            $alike[$one->phone->id] = new PhoneAssumption($one->phone->id, $does, $after);
        }

        return Acts::ringing($alike, $since);
    }

    /** @return array<string, non-empty-list<Rung>> what is rung from a second on where more is done, by phone */
    private static function rung(Asking $at, Acts $more, int $since): array
    {
        $rung = [];
        foreach ($at->try($more)->walk->rung->all($since + $at->stand()->walk->second()) as $one) {
            $rung[$one->phone->id][] = $one;
        }

        return $rung;
    }
}
