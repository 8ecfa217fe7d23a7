<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways\Question;

use Meandros\Core\Call\Behaviour;
use Meandros\Core\Call\PhoneAssumption;
use Meandros\Core\Proof\Ways\Acts;
use Meandros\Core\Proof\Ways\Asking;
use Meandros\Core\Proof\Ways\Question;
use Meandros\Core\Proof\Ways\Run;
use Meandros\Core\Ringing\Rung;
use Meandros\Core\Routing\Happening\Ringing;

/**
 * What phones do that ring: all alike, and one of them ringing on or answering while the others do something else. What else
 * several phones do differently leads to the same outcomes, at seconds between.
 */
final class PhonesRing implements Question
{
    /** What all of them do, and whether they refuse as late as they can. */
    private const ALIKE = [
        [Behaviour::Busy, false],
        [Behaviour::Unreachable, false],
        [Behaviour::Refuses, false],
        [Behaviour::Refuses, true],
    ];

    public function about(Asking $at): ?string
    {
        \assert($at->what instanceof Ringing);
        $open = $this->open($at);

        return [] === $open
            ? null
            : \sprintf('ring %s %s', $at->what->target?->text(), implode(' ', array_keys($open)));
    }

    public function answers(Asking $at): array
    {
        $open = $this->open($at);
        $windows = [];
        $answers = [Acts::settling(array_keys($open))];
        foreach (array_keys($open) as $phone) {
            $windows[$phone] = self::window($at->run, $phone);
            array_push($answers, ...self::answered($phone, $windows[$phone], $answers[0]));
        }
        $others = self::others($at);
        $open = self::whoMatters($at, $open);
        foreach ([] === $open ? [] : self::ALIKE as $all) {
            $alike = self::alike(
                Behaviour::Unreachable === $all[0] ? array_diff_key($open, $at->stand()->reached) : $open,
                ...$all,
            );
            $answers[] = Acts::ringing($alike)->then(Acts::settling(array_keys(array_diff_key($open, $alike))));
            foreach (\count($open) > 1 && $all === ($others ?? $all) ? array_keys($open) : [] as $phone) {
                $others = array_diff_key($alike, [$phone => true]);
                $rings = Acts::ringing($others)->then(Acts::settling(array_keys(array_diff_key($open, $others))));
                $answers[] = $rings;
                $window = self::window($at->try($rings), $phone);
                if ($window !== $windows[$phone]) {
                    array_push($answers, ...self::answered($phone, $window, $rings));
                }
            }
        }

        return $answers;
    }

    public function takesKey(): bool
    {
        return false;
    }

    public function areAll(Asking $at): bool
    {
        return true;
    }

    /**
     * In a queue it is all the same why an agent does not take a call, unless the phone's own mailbox does.
     *
     * @param array<string, Rung> $open
     *
     * @return array<string, Rung>
     */
    private static function whoMatters(Asking $at, array $open): array
    {
        \assert($at->what instanceof Ringing);

        return null === $at->what->turn
            ? $open
            : array_filter($open, static fn(Rung $rung): bool => null !== $rung->phone->outside?->mailbox);
    }

    /**
     * What phones do that these come up for.
     *
     * @return array{Behaviour, bool}|null null where they come up whatever others do
     */
    private static function others(Asking $at): ?array
    {
        \assert($at->what instanceof Ringing);
        foreach ($at->what->rung as $rung) {
            $does = $at->acts->phones[0][$rung->phone->id] ?? null;
            if (null !== $does && Behaviour::Answers !== $does->does) {
                return [$does->does, 0 !== ($does->afterSeconds ?? 0)];
            }
        }

        return null;
    }

    /** @return array<string, Rung> phones that rang, and of which it is open what they do */
    private function open(Asking $at): array
    {
        \assert($at->what instanceof Ringing);
        $open = [];
        foreach ($at->what->rung as $rung) {
            $phone = $rung->phone->id;
            $isOpen = null !== $rung->rings && !$at->acts->says($phone) && !isset($at->stand()->now[$phone]);
            $isOpen && ($open[$phone] = $rung);
        }

        return $open;
    }

    /** @return array{int, int}|null the second at which it begins to ring, and for how many it does in all; null where it does not */
    private static function window(Run $run, string $phone): ?array
    {
        $first = null;
        $seconds = 0;
        foreach ($run->walk->rung() as $rung) {
            if ($rung->phone->id === $phone && null !== $rung->rings) {
                $first ??= $rung->rings;
                $seconds += $rung->seconds();
            }
        }

        return null === $first ? null : [$first, $seconds];
    }

    /**
     * It is answered, at once and in the last second.
     *
     * @param array{int, int}|null $window
     *
     * @return list<Acts>
     */
    private static function answered(string $phone, ?array $window, Acts $others): array
    {
        $answers = [];
        foreach (null === $window ? [] : array_unique([0, max(0, $window[1] - 1)]) as $after) {
            $answers[] = $others->then(
                Acts::ringing([$phone => new PhoneAssumption($phone, Behaviour::Answers, $after)]),
            );
        }

        return $answers;
    }

    /**
     * All of them do one thing.
     *
     * @param array<string, Rung> $open
     * @param bool                $isLate whether phones refuse as late as they can
     *
     * @return array<string, PhoneAssumption>
     */
    private static function alike(array $open, Behaviour $does, bool $isLate): array
    {
        $alike = [];
        foreach ($open as $phone => $rung) {
            $after = Behaviour::Refuses === $does ? ($isLate ? max(0, $rung->seconds() - 1) : 0) : null;
            $alike[$phone] = new PhoneAssumption($phone, $does, $after);
        }

        return $alike;
    }
}
