<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Step;

use Meandros\Core\Call\Keypad;
use Meandros\Core\Directory\Directory;
use Meandros\Core\Directory\Search;
use Meandros\Core\Directory\Stop;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\DirectoryStep;
use Meandros\Core\Routing\Answering\Dialler;
use Meandros\Core\Routing\CallOver;
use Meandros\Core\Routing\Happening\NameSpelled;
use Meandros\Core\Routing\Happening\NamesRead;
use Meandros\Core\Routing\Heard;
use Meandros\Core\Routing\Onward;
use Meandros\Core\Routing\StepWalker;
use Meandros\Core\Routing\Walk;

/** Callers hear the prompt and spell a name; where several begin so, they choose among those that are read out. */
final class DirectoryWalker implements StepWalker
{
    /** Seconds of a name where there is no recording of it, and of the key that is named with it (common practice). */
    private const NAME_SECONDS = 2;
    private const KEY_SECONDS = 1;

    /** @var array{Plan, DirectoryStep, Directory}|null where people were looked for last */
    private ?array $last = null;

    public function take(Step $step, Walk $walk): Onward
    {
        \assert($step instanceof DirectoryStep);
        $prompt = $walk->plan->get(Prompt::class, $step->asks->prompt);
        for ($try = 1; ; ++$try) {
            $search = $this->ask($step, $walk->hear($prompt), $try, $walk);
            $exit = null === $search ? DirectoryStep::NOTHING : DirectoryStep::NOBODY;
            if (DirectoryStep::HELP === $search?->typed) {
                return Onward::by(DirectoryStep::HELP);
            }
            $found =
                \count($search->people ?? []) > 1
                    ? self::choose($step, $search->people ?? [], $walk)
                    : $search->people[0] ?? null;
            if (DirectoryStep::HELP === $found) {
                return Onward::by(DirectoryStep::HELP);
            }
            if ($found instanceof Person) {
                return (new Dialler($walk))->reach($found, $step->dial);
            }
            if ($try >= $step->asks->tries) {
                return Onward::by([] === ($search->people ?? []) ? $exit : DirectoryStep::NOTHING);
            }
        }
    }

    /**
     * @return Search|null null where nothing is pressed
     *
     * @throws CallOver
     */
    private function ask(DirectoryStep $step, Heard $heard, int $try, Walk $walk): ?Search
    {
        $start = $walk->second();
        $press = $walk->keys->atMenu();
        // Whoever says a name is taken to spell it.
        $keys = null === $press?->says ? $press->keys ?? '' : Keypad::spell($press->says);
        $at = $press->after ?? $heard->seconds;
        $search =
            '' === $keys || $at >= $heard->seconds + $step->asks->waitSeconds
                ? null
                : $this->search($step, $keys, $walk);
        $seconds = null === $search ? $step->asks->waitSeconds : $search->seconds($step->dial->digitSeconds);
        $walk->listen($heard, null === $search ? null : min($at, $heard->seconds));
        $walk->note(new NameSpelled($heard, $search, $step, $try, $seconds, null === $search ? null : $at), $start);
        $walk->pass($seconds + (null === $search ? 0 : max(0, $at - $heard->seconds)));

        return $search;
    }

    private function search(DirectoryStep $step, string $keys, Walk $walk): Search
    {
        return str_starts_with($keys, DirectoryStep::HELP)
            ? new Search(DirectoryStep::HELP, [], Stop::One)
            : $this->directory($step, $walk->plan)->read($keys);
    }

    private function directory(DirectoryStep $step, Plan $plan): Directory
    {
        if (null === $this->last || $this->last[0] !== $plan || $this->last[1] !== $step) {
            $this->last = [$plan, $step, new Directory($plan, $step->spelling, $step->dial)];
        }

        return $this->last[2];
    }

    /**
     * The first ones are read out with a key for each.
     *
     * @param list<Person> $people
     *
     * @return Person|string|null the key for help, or null where none of them is chosen
     *
     * @throws CallOver
     */
    private static function choose(DirectoryStep $step, array $people, Walk $walk): Person|string|null
    {
        $read = \array_slice($people, 0, $step->spelling->most);
        $seconds = array_sum(array_map(static fn(Person $person): int => self::nameSeconds($person, $walk), $read));
        $press = $walk->keys->atMenu();
        $at = $press->after ?? $seconds;
        $key = null === $press || $at >= $seconds + $step->asks->waitSeconds ? null : substr($press->keys, 0, 1);
        $chosen = null === $key || DirectoryStep::HELP === $key ? $key : $read[(int) $key - 1] ?? null;
        $walk->note(
            new NamesRead(
                array_map(static fn(Person $person): string => $person->id(), $read),
                \count($people) - \count($read),
                $key,
                $chosen instanceof Person ? $chosen->id() : null,
                $seconds,
                $step,
            ),
        );
        $walk->pass(null === $key ? $seconds + $step->asks->waitSeconds : $at);

        return $chosen;
    }

    private static function nameSeconds(Person $person, Walk $walk): int
    {
        $prompt = $walk->plan->get(Prompt::class, $person->known->listing->prompt);

        return self::KEY_SECONDS + (null === $prompt ? self::NAME_SECONDS : $walk->hear($prompt)->seconds);
    }
}
