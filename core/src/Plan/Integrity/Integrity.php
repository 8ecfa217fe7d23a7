<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Integrity;

use Meandros\Core\Plan\Called;
use Meandros\Core\Plan\Dialled;
use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Settings;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Reading\Problem;
use Meandros\Core\Value\Lists;

/**
 * What must hold between elements: every reference leads to an element of a fitting kind and to a part that it has, what
 * can be dialled is unique, and no journey goes round without giving anybody a say. Pointers are within the element.
 */
final readonly class Integrity
{
    /** So many elements are looked at one by one. */
    private const FEW = 500;

    public function __construct(private Plan $plan) {}

    /** @return array<string, list<Problem>> by element id, only those with problems */
    public function problems(): array
    {
        $problems = [];
        $endless = EndlessJourney::inPlan($this->plan);
        foreach ($this->plan->elements() as $id => $element) {
            $found = [
                ...$this->brokenReferences($element),
                ...$this->ownPhones($element),
                ...$this->overlaps($element),
                ...$this->otherSettings($element),
                ...$endless[$id] ?? [],
            ];
            if ([] !== $found) {
                $problems[$id] = $found;
            }
        }
        foreach ($this->duplicates() as $id => $problem) {
            $problems[$id][] = $problem;
        }

        return $problems;
    }

    /**
     * What is wrong after an edit that left the plan like this. Few changes are looked at one by one, so that it costs no more where the
     * plan is large; of many, all of it is.
     *
     * @param array<string, Element|null> $changed by id; null for those that are gone
     *
     * @return array<string, list<Problem>> by the id of the element that has them
     */
    public function problemsAfter(array $changed): array
    {
        if (\count($changed) > self::FEW) {
            return $this->problems();
        }
        $problems = [];
        foreach ($changed as $id => $element) {
            $found = null === $element ? [] : $this->problemsOf($element);
            if ([] !== $found) {
                $problems[$id] = $found;
            }
            foreach (null === $element ? $this->plan->usesOf($id) : [] as $place) {
                $problems[$place->user->id()][] = new Problem($place->reference->pointer, 'not-in-plan', ['id' => $id]);
            }
        }

        return $problems;
    }

    /** @return list<Problem> what is wrong with one element as it stands in the plan, and with others for its sake */
    public function problemsOf(Element $element): array
    {
        $problems = [
            ...$this->brokenReferences($element),
            ...$this->ownPhones($element),
            ...$this->missedParts($element),
            ...$this->overlaps($element),
            ...$this->otherSettings($element),
            ...EndlessJourney::problems($this->plan, $element),
        ];
        foreach (Dialled::by($element) as $pointer => $value) {
            foreach ($this->plan->mentioning($value) as $other) {
                if ($other->id() !== $element->id() && Lists::has(Dialled::by($other), $value)) {
                    $problems[] = self::clash($element, $pointer, $value, $other);
                }
                if (Lists::has(Called::phonesOf($other), $value)) {
                    $problems[] = new Problem($pointer, 'outside-phone-taken', [
                        'number' => $value,
                        'person' => $other->name(),
                    ]);
                }
            }
        }

        return $problems;
    }

    /** @return list<Problem> */
    private function otherSettings(Element $element): array
    {
        return $element instanceof Settings && \count($this->plan->all(Settings::class)) > 1
            ? [new Problem('/kind', 'settings-twice')]
            : [];
    }

    /** @return list<Problem> */
    private function brokenReferences(Element $element): array
    {
        $problems = [];
        foreach ($element->references() as $reference) {
            $target = $this->plan->find($reference->id);
            if (null === $target) {
                $problems[] = new Problem($reference->pointer, 'not-in-plan', ['id' => $reference->id]);
            } elseif (!Lists::has($reference->allowed, $target->kind())) {
                $problems[] = new Problem($reference->pointer, 'of-another-kind', [
                    'name' => $target->name(),
                    'kind' => $target->kind()->value,
                    'allowed' => array_map(static fn(Kind $kind): string => $kind->value, $reference->allowed),
                ]);
            } elseif (null !== $reference->part && true !== $target->parts()?->have($reference->part)) {
                $problems[] = new Problem($reference->pointer, 'no-such-part', [
                    'name' => $target->name(),
                    'word' => $target->parts()->word ?? 'part',
                    'part' => $reference->part,
                ]);
            }
        }

        return $problems;
    }

    /** @return list<Problem> phones outside that are one of our own numbers: a call to it would come back in */
    private function ownPhones(Element $element): array
    {
        $problems = [];
        foreach (Called::phonesOf($element) as $pointer => $called) {
            $number = $this->plan->dialled($called);
            if (null !== $number) {
                $problems[] = new Problem($pointer, 'own-number', ['number' => $called, 'name' => $number->name()]);
            }
        }

        return $problems;
    }

    /** @return list<Problem> parts of an element that others mention and it no longer has */
    private function missedParts(Element $element): array
    {
        $parts = $element->parts();
        if (null === $parts) {
            return [];
        }
        $problems = [];
        foreach ($this->plan->usesOf($element->id()) as $place) {
            $part = $place->reference->part;
            if (null !== $part && !$parts->have($part) && $place->user->id() !== $element->id()) {
                $problems[] = new Problem($parts->pointer, 'part-in-use', [
                    'word' => $parts->word,
                    'part' => $part,
                    'user' => $place->user->name(),
                    'role' => $place->reference->role,
                ]);
            }
        }

        return $problems;
    }

    /** @return list<Problem> blocks that hold numbers of each other; a number of its own within a block is an exception, and is meant */
    private function overlaps(Element $element): array
    {
        $problems = [];
        $block = $element instanceof Number ? $element->range->block : null;
        if (null === $block) {
            return [];
        }
        foreach ($this->plan->mentioning(Number::MANY) as $other) {
            if (
                $other instanceof Number &&
                $other->id() !== $element->id() &&
                null !== $other->range->block &&
                $block->overlaps($other->range->block)
            ) {
                $problems[] = new Problem('/block/last', 'blocks-overlap', [
                    'name' => $other->name(),
                    'first' => $other->range->number,
                    'last' => $other->range->block->last,
                ]);
            }
        }

        return $problems;
    }

    /** @return iterable<string, Problem> */
    private function duplicates(): iterable
    {
        $seen = [];
        foreach ($this->plan->elements() as $id => $element) {
            foreach (Dialled::by($element) as $pointer => $value) {
                if (isset($seen[$value])) {
                    yield $id => self::clash($element, $pointer, $value, $seen[$value]);
                }
                $seen[$value] = $element;
            }
        }
    }

    private static function clash(Element $element, string $pointer, string $value, Element $other): Problem
    {
        return match (true) {
            $element instanceof Number => new Problem($pointer, 'number-taken', [
                'number' => $value,
                'name' => $other->name(),
            ]),
            $element instanceof Person => new Problem($pointer, 'extension-taken', [
                'extension' => $value,
                'name' => $other->name(),
            ]),
            default => new Problem($pointer, 'code-taken', ['code' => $value, 'name' => $other->name()]),
        };
    }
}
