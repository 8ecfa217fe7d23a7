<?php

declare(strict_types=1);

namespace Meandros\Core\Paper;

use Meandros\Core\Call\Keypad;
use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\LedBy;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\HoursStep;
use Meandros\Core\Plan\Step\StepExit;
use Meandros\Core\Plan\Step\StepList;
use Meandros\Core\Plan\Target;
use Meandros\Core\Value\Lists;

/**
 * A journey as an outline. Each kind of step has one pattern of words in the catalog; its arguments are the fields of the step as
 * they stand in its JSON, with names in place of ids.
 */
final readonly class JourneyOnPaper
{
    public function __construct(private Plan $plan, private PaperWords $words) {}

    public function chapter(Journey $journey): Chapter
    {
        $numbers = array_map(
            fn(Number $number): string => \sprintf(
                '%s (%s)',
                $number->name(),
                $this->words->number($number->range->number),
            ),
            LedBy::of($this->plan, $journey->id()),
        );

        return new Chapter(
            new Heading($journey->name(), 3),
            [
                [] === $numbers
                    ? $this->words->say('journey.unreached')
                    : $this->words->say('journey.reached', ['numbers' => implode(', ', $numbers)]),
            ],
            [...$this->rows($journey->steps, 0), ...$this->end($journey->steps)],
        );
    }

    /** @return list<Row> what becomes of calls that come past the last step */
    private function end(StepList $list): array
    {
        $last = $list->steps[\count($list->steps) - 1] ?? null;

        return true === $last?->isLast() ? [] : [new Row(0, false, $this->words->say('end.nothing-follows'))];
    }

    /** @return list<Row> */
    private function rows(StepList $list, int $depth): array
    {
        $rows = [];
        foreach ($list->steps as $step) {
            $rows[] = new Row($depth, false, $this->sentence($step), $this->heard($step));
            foreach ($step->exits()->items as $exit) {
                $goesOn = [] === $exit->steps->steps;
                $rows[] = new Row(
                    $depth + 1,
                    true,
                    $this->words->say($goesOn ? 'exit.goes-on' : 'exit', ['on' => $this->exit($step, $exit)]),
                );
                array_push($rows, ...$this->rows($exit->steps, $depth + 2));
            }
        }

        return $rows;
    }

    private function sentence(Step $step): string
    {
        $fields = array_map(
            static fn(mixed $value): string => match (true) {
                \is_bool($value) => $value ? 'yes' : 'no',
                null === $value, '' === $value, \is_array($value) => PaperWords::NONE,
                default => \is_scalar($value) ? (string) $value : '',
            },
            $step->toJson(),
        );
        foreach ($fields as $field => $text) {
            $fields['has_' . $field] = PaperWords::NONE === $text ? 'no' : 'yes';
        }
        foreach ($this->named($step) as $field => $name) {
            $fields[$field] = $name;
        }
        if (isset($fields['number'])) {
            $fields['number'] = $this->words->number($fields['number']);
        }

        $told = $this->words->say('step.' . $fields['do'], $fields);

        return '' === $step->why() ? $told : $this->words->say('because', ['told' => $told, 'why' => $step->why()]);
    }

    /** @return array<string, string> what the step refers to, by the field that names it */
    private function named(Step $step): array
    {
        $names = [];
        foreach ($step->references('') as $reference) {
            $field = ltrim($reference->pointer, '/');
            $names[$field] = $this->words->name($reference->id);
            $text = $step->toJson()[$field] ?? null;
            if ('target' === $field && \is_string($text)) {
                $names[$field] = $this->words->target(Target::parse($text));
            }
        }

        return $names;
    }

    /** The words of every prompt that the step itself plays. */
    private function heard(Step $step): string
    {
        $heard = array_map(
            fn(Reference $reference): string => $this->words->script($reference->id),
            array_values(
                array_filter(
                    $step->references(''),
                    static fn(Reference $reference): bool => 1 ===
                        preg_match('#^/(prompt|greeting)$#', $reference->pointer),
                ),
            ),
        );

        return implode(' ', array_filter($heard, static fn(string $words): bool => '' !== $words));
    }

    private function exit(Step $step, StepExit $exit): string
    {
        $state =
            $step instanceof HoursStep ? $this->plan->get(Hours::class, $step->hours)?->states->find($exit->on) : null;
        $name = $state->name ?? $this->plan->find($exit->on)?->name();
        $words = match (true) {
            null !== $name => $name,
            Lists::has(Keypad::KEYS, $exit->on) => $this->words->say('exit.pressed', ['key' => $exit->on]),
            default => $this->words->say('exit.' . $exit->on),
        };

        return trim($words . ' ' . $exit->label);
    }
}
