<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Integrity;

use Meandros\Core\Plan\Called;
use Meandros\Core\Plan\Dialled;
use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Reading\Problem;

/**
 * What must hold between elements: every reference leads to an element of a fitting kind and to a part that it has, what
 * can be dialled is unique, and no journey goes round without giving anybody a say. Pointers are within the element.
 */
final readonly class Integrity
{
    public function __construct(private Plan $plan) {}

    /** @return array<string, list<Problem>> by element id, only those with problems */
    public function problems(): array
    {
        $problems = [];
        $endless = EndlessJourney::inPlan($this->plan);
        foreach ($this->plan->elements() as $id => $element) {
            $found = [...$this->brokenReferences($element), ...$this->ownPhones($element), ...$endless[$id] ?? []];
            if ([] !== $found) {
                $problems[$id] = $found;
            }
        }
        foreach ($this->duplicates() as $id => $problem) {
            $problems[$id][] = $problem;
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
            ...EndlessJourney::problems($this->plan, $element),
        ];
        foreach (Dialled::by($element) as $pointer => $value) {
            foreach ($this->plan->mentioning($value) as $other) {
                if ($other->id() !== $element->id() && \in_array($value, Dialled::by($other), true)) {
                    $problems[] = self::clash($element, $pointer, $value, $other);
                }
                if (\in_array($value, Called::phonesOf($other), true)) {
                    $problems[] = new Problem(
                        $pointer,
                        \sprintf('%s is a phone outside of “%s” already.', $value, $other->name()),
                        'Take it out there, or enter another number.',
                    );
                }
            }
        }

        return $problems;
    }

    /** @return list<Problem> */
    private function brokenReferences(Element $element): array
    {
        $problems = [];
        foreach ($element->references() as $reference) {
            $target = $this->plan->find($reference->id);
            if (null === $target) {
                $problems[] = new Problem(
                    $reference->pointer,
                    \sprintf('"%s" is not in the plan; it may have been deleted.', $reference->id),
                    'Choose another, or leave it open.',
                );
            } elseif (!\in_array($target->kind(), $reference->allowed, true)) {
                $kinds = implode(
                    ', ',
                    array_map(static fn(Kind $kind): string => $kind->article(), $reference->allowed),
                );
                $problems[] = new Problem(
                    $reference->pointer,
                    \sprintf('%s is %s, which cannot stand here.', $target->name(), $target->kind()->article()),
                    \sprintf('Choose one of: %s.', $kinds),
                );
            } elseif (null !== $reference->part && true !== $target->parts()?->have($reference->part)) {
                $problems[] = new Problem(
                    $reference->pointer,
                    \sprintf('%s has no %s "%s".', $target->name(), $target->parts()->word ?? 'part', $reference->part),
                    'Choose another, or take it out here.',
                );
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
                $problems[] = new Problem(
                    $pointer,
                    \sprintf('%s is our own number “%s”, and no phone outside.', $called, $number->name()),
                    'Ring what that number leads to, or enter the number of the phone.',
                );
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
                $problems[] = new Problem(
                    $parts->pointer,
                    \sprintf(
                        'The %s "%s" is in use: %s %s.',
                        $parts->word,
                        $part,
                        $place->user->name(),
                        $place->reference->role,
                    ),
                    'Take it out there first, or keep it.',
                );
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
            $element instanceof Number => new Problem(
                $pointer,
                \sprintf('%s is in the plan already, as "%s".', $value, $other->name()),
                'Change that one, or enter another number.',
            ),
            $element instanceof Person => new Problem(
                $pointer,
                \sprintf('Extension %s belongs to %s.', $value, $other->name()),
                'Choose a free extension.',
            ),
            default => new Problem(
                $pointer,
                \sprintf('The code %s belongs to %s.', $value, $other->name()),
                'Choose a free code.',
            ),
        };
    }
}
