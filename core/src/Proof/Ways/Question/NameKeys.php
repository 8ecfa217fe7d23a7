<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways\Question;

use Meandros\Core\Call\KeyPress;
use Meandros\Core\Directory\Directory;
use Meandros\Core\Directory\Search;
use Meandros\Core\Directory\Stop;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Spelled;
use Meandros\Core\Plan\Step\DirectoryStep;
use Meandros\Core\Proof\Ways\Acts;
use Meandros\Core\Proof\Ways\Asking;
use Meandros\Core\Proof\Ways\Question;
use Meandros\Core\Proof\Ways\Untried;
use Meandros\Core\Proof\Ways\Usual;
use Meandros\Core\Routing\Happening\NameSpelled;

/**
 * What callers spell at one try of a directory: nothing, somebody's name or extension in the fewest seconds and in the most,
 * nobody's, the key for help.
 */
final class NameKeys implements Question
{
    use Usual;

    /** Keys that can be stated at once leave room for two more. */
    private const LONGEST = 22;

    /** @var array{Plan, DirectoryStep, list<array{string, string, bool}>}|null what may be spelled at the directory that was asked about last */
    private ?array $last = null;

    public function about(Asking $at): ?string
    {
        \assert($at->what instanceof NameSpelled);

        return $at->place < \count($at->acts->keys)
            ? null
            : \sprintf('name %s %d', $at->what->step->id(), $at->what->try);
    }

    public function answers(Asking $at): array
    {
        \assert($at->what instanceof NameSpelled);
        $step = $at->what->step;
        $last = $at->what->heard->seconds + $step->asks->waitSeconds - 1;
        $answers = [Acts::pressing(Acts::nothingPressed())];
        // What leads on does so at every try: it is spelled soonest at the first, and latest at the last.
        $isFirst = 1 === $at->what->try;
        $isLast = $step->asks->tries === $at->what->try;
        $help = [DirectoryStep::HELP, DirectoryStep::HELP, true];
        foreach ([$help, ...$this->spelled($at->plan(), $step)] as [$soon, $late, $leads]) {
            if ($at->isSoonest && ($isFirst || !$leads)) {
                $answers[] = Acts::pressing(new KeyPress($soon, 0));
            }
            if ($at->isLatest && ($isLast || !$leads)) {
                $answers[] = Acts::pressing(new KeyPress($late, $last));
            }
        }

        return $answers;
    }

    public function takesKey(): bool
    {
        return true;
    }

    public function untried(Asking $at): ?Untried
    {
        \assert($at->what instanceof NameSpelled);

        return Reachable::areAll($at->plan(), $at->what->step->dial) ? null : Untried::ManyPeople;
    }

    /** @return list<array{string, string, bool}> for all that they can stand for: keys that take the fewest seconds, and the most; and whether that is one person */
    private function spelled(Plan $plan, DirectoryStep $step): array
    {
        if (null === $this->last || $this->last[0] !== $plan || $this->last[1] !== $step) {
            $this->last = [$plan, $step, self::whatMaySpell($plan, $step)];
        }

        return $this->last[2];
    }

    /** @return list<array{string, string, bool}> */
    private static function whatMaySpell(Plan $plan, DirectoryStep $step): array
    {
        $directory = new Directory($plan, $step->spelling, $step->dial);
        $found = [];
        foreach (self::begun($plan, $step) as $keys) {
            $search = $directory->read($keys);
            $seconds = self::seconds($search, $step);
            $whom = implode(' ', array_map(static fn(Person $person): string => $person->id(), $search->people));
            $known = $found[$whom] ?? null;
            $found[$whom] = [
                null === $known || $seconds < $known[0] ? $seconds : $known[0],
                null === $known || $seconds < $known[0] ? $keys : $known[1],
                null === $known || $seconds > $known[2] ? $seconds : $known[2],
                null === $known || $seconds > $known[2] ? $keys : $known[3],
                1 === \count($search->people),
            ];
        }

        return array_values(array_map(static fn(array $one): array => [$one[1], $one[3], $one[4]], $found));
    }

    /** @return list<string> every beginning of what spells somebody, as it is and with each key more; with # and without */
    private static function begun(Plan $plan, DirectoryStep $step): array
    {
        $begun = ['1' => true, '2' => true];
        foreach (Reachable::people($plan, $step->dial) as $person) {
            foreach ($step->spelling->parts() as $part) {
                foreach (Spelled::keys($person, $part) as $keys) {
                    for ($length = 1; $length <= min(\strlen($keys), self::LONGEST); ++$length) {
                        $begun[substr($keys, 0, $length)] = true;
                    }
                }
            }
        }
        $all = [];
        foreach (array_keys($begun) as $keys) {
            $keys = (string) $keys;
            if (!str_starts_with($keys, DirectoryStep::HELP)) {
                array_push($all, $keys, $keys . '#', $keys . '1', $keys . '9');
            }
        }

        return $all;
    }

    /** As the step takes it: a second for each key after the first, then as long as another may follow. */
    private static function seconds(Search $search, DirectoryStep $step): int
    {
        return \strlen($search->typed) -
            1 +
            match ($search->stop) {
                Stop::Hash => 1,
                Stop::Silence => $step->dial->digitSeconds,
                Stop::One, Stop::Letters, Stop::Nobody => 0,
            };
    }
}
