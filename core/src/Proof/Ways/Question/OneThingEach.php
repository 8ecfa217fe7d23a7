<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways\Question;

use Meandros\Core\Call\Behaviour;
use Meandros\Core\Call\PhoneAssumption;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Proof\Ways\Acts;
use Meandros\Core\Proof\Ways\Asking;
use Meandros\Core\Proof\Ways\LookedAt;
use Meandros\Core\Ringing\Rung;
use Meandros\Core\Routing\Happening\Ringing;
use Meandros\Core\Value\Lists;

/**
 * Where phones that ring together are looked at again in the very second in which none of them takes the call, it matters what each of
 * them did.
 */
final class OneThingEach
{
    private const AT_ONCE = [Behaviour::Busy, Behaviour::Unreachable, Behaviour::Refuses];
    /** Of those that are looked at again, which may do each of the three. */
    private const MOST = 4;

    /** Whether one busy phone keeps all of somebody's from ringing. */
    public static function skipsBusy(Asking $at): bool
    {
        \assert($at->what instanceof Ringing);

        return LookedAt::skipsBusy($at->plan(), $at->what);
    }

    /** @return string the person of a phone */
    public static function owner(string $phone): string
    {
        return explode('/', $phone)[0];
    }

    /**
     * @param array<string, Rung> $open
     *
     * @return array<string, Rung> phones of one person, or a number outside
     */
    public static function theirs(array $open, string $owner): array
    {
        return array_filter(
            $open,
            static fn(string $phone): bool => self::owner($phone) === $owner,
            \ARRAY_FILTER_USE_KEY,
        );
    }

    /** @param array<string, Rung> $open */
    public static function areTooMany(Asking $at, array $open): bool
    {
        return $at->later()->mixes && \count(self::again($at, $open)) > self::MOST;
    }

    /**
     * @param array<string, Rung> $open
     *
     * @return list<Acts>
     */
    public static function of(Asking $at, array $open): array
    {
        $ways = match (true) {
            !$at->later()->mixes, \count($open) < 2 => [],
            self::areTooMany($at, $open) => [...self::oneAndOthers($at, $open), ...self::oneForAll($at, $open)],
            default => [...self::eachOfThem($at, $open), ...self::oneForAll($at, $open)],
        };
        $isByAnother = ($at->later()->mixes || self::isKnown($at)) && self::skipsBusy($at);
        array_push($ways, ...$isByAnother ? self::onAnother($at, $open) : []);

        return array_map(static fn(array $way): Acts => Acts::ringing($way, $at->since), $ways);
    }

    /** Whether it is known already of one of them what it does: the others of its owner's may be busy all the same. */
    private static function isKnown(Asking $at): bool
    {
        \assert($at->what instanceof Ringing);

        return [] !== array_filter($at->what->rung, static fn(Rung $one): bool => isset($at->did()[$one->phone->id]));
    }

    /**
     * @param array<string, Rung> $open
     *
     * @return list<string> phones that are looked at again
     */
    private static function again(Asking $at, array $open): array
    {
        return array_values(array_filter(array_keys($open), $at->later()->rings(...)));
    }

    /**
     * @param array<string, Rung> $open
     *
     * @return list<array<string, PhoneAssumption>>
     */
    private static function oneAndOthers(Asking $at, array $open): array
    {
        $ways = [];
        foreach (self::again($at, $open) as $phone) {
            foreach (self::AT_ONCE as $does) {
                foreach (self::AT_ONCE as $others) {
                    $ways[] = self::one($open, $phone, $does) + OneThingAll::alike($open, $others, 0);
                }
            }
        }

        return $ways;
    }

    /**
     * @param array<string, Rung> $open
     *
     * @return list<array<string, PhoneAssumption>>
     */
    private static function eachOfThem(Asking $at, array $open): array
    {
        $again = self::again($at, $open);
        $ways = array_map(
            static fn(Behaviour $does): array => OneThingAll::alike(
                array_diff_key($open, array_flip($again)),
                $does,
                0,
            ),
            \count($again) < \count($open) ? self::AT_ONCE : [Behaviour::Busy],
        );
        foreach ($again as $phone) {
            $next = [];
            foreach ($ways as $way) {
                foreach (self::AT_ONCE as $does) {
                    $next[] = $way + self::one($open, $phone, $does);
                }
            }
            $ways = $next;
        }

        return [] === $again ? [] : $ways;
    }

    /**
     * Where one phone speaks for all of somebody's, it stays open what the others would do, which may be rung later.
     *
     * @param array<string, Rung> $open
     *
     * @return list<array<string, PhoneAssumption>>
     */
    private static function oneForAll(Asking $at, array $open): array
    {
        $first = $last = [];
        foreach (array_keys($open) as $phone) {
            $first[self::owner($phone)] ??= $phone;
            $last[self::owner($phone)] = $phone;
        }
        $skipsBusy = self::skipsBusy($at);
        $says = static fn(string $phone): Behaviour => !$skipsBusy && $open[$phone]->phone->owner->refusesForAll
            ? Behaviour::Refuses
            : Behaviour::Busy;
        $speak = array_filter(
            self::again($at, $open),
            static fn(string $phone): bool => $first[self::owner($phone)] !== $last[self::owner($phone)] &&
                ($skipsBusy || $open[$phone]->phone->owner->refusesForAll),
        );
        $ways = [];
        foreach ([] === $speak ? [] : [$first, $last] as $some) {
            $ways[] = array_merge(
                ...array_map(
                    static fn(string $phone): array => self::one($open, $phone, $says($phone)),
                    array_values($some),
                ),
            );
        }
        foreach ($speak as $phone) {
            $others = array_diff_key($open, self::theirs($open, self::owner($phone)));
            foreach ([] === $others ? [Behaviour::Busy] : self::AT_ONCE as $does) {
                $ways[] = self::one($open, $phone, $says($phone)) + OneThingAll::alike($others, $does, 0);
            }
        }

        return $ways;
    }

    /**
     * Somebody is on a call by a phone that does not ring.
     *
     * @param array<string, Rung> $open
     *
     * @return list<array<string, PhoneAssumption>>
     */
    private static function onAnother(Asking $at, array $open): array
    {
        \assert($at->what instanceof Ringing);
        $rung = array_map(static fn(Rung $one): string => $one->phone->id, $at->what->rung);
        $ways = [];
        foreach (array_unique(array_map(self::owner(...), $rung)) as $person) {
            $others = array_diff_key($open, self::theirs($open, $person));
            foreach ($at->plan()->get(Person::class, $person)?->phoneIds() ?? [] as $id) {
                $isOpen = !Lists::has($rung, $id) && !$at->acts->says($id) && !isset($at->stand()->justNow->did[$id]);
                foreach ($isOpen ? self::AT_ONCE : [] as $does) {
                    $ways[] =
                        [$id => new PhoneAssumption($id, Behaviour::Busy)] + OneThingAll::alike($others, $does, 0);
                }
            }
        }

        return $ways;
    }

    /**
     * @param array<string, Rung> $open
     *
     * @return array<string, PhoneAssumption>
     */
    private static function one(array $open, string $phone, Behaviour $does): array
    {
        return OneThingAll::alike([$phone => $open[$phone]], $does, 0);
    }
}
