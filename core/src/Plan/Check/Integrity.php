<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Problem;

/**
 * What must hold between elements: every reference leads to an element of a fitting kind, numbers and extensions are
 * unique, and no journey goes round without giving anybody a say. Pointers are within the element.
 */
final readonly class Integrity
{
    public function __construct(private Plan $plan)
    {
    }

    /** @return array<string, list<Problem>> by element id, only those with problems */
    public function problems(): array
    {
        $problems = [];
        foreach ($this->plan->elements() as $id => $element) {
            $found = [...$this->brokenReferences($element), ...EndlessJourney::problems($this->plan, $element)];
            if ([] !== $found) {
                $problems[$id] = $found;
            }
        }
        foreach ($this->duplicates() as $id => $problem) {
            $problems[$id][] = $problem;
        }

        return $problems;
    }

    /** @return list<Problem> what is wrong with one element as it stands in the plan */
    public function problemsOf(Element $element): array
    {
        $problems = [...$this->brokenReferences($element), ...EndlessJourney::problems($this->plan, $element)];
        $unique = self::uniqueValue($element);
        foreach (null === $unique ? [] : $this->plan->mentioning($unique) as $other) {
            $clash = $other->id() === $element->id() ? null : $this->clash($element, $other);
            if (null !== $clash) {
                $problems[] = $clash;
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
                $problems[] = new Problem($reference->pointer, \sprintf('"%s" is not in the plan; it may have been deleted.', $reference->id), 'Choose another, or leave it open.');
            } elseif (!\in_array($target->kind(), $reference->allowed, true)) {
                $kinds = implode(', ', array_map(static fn (Kind $kind): string => $kind->article(), $reference->allowed));
                $problems[] = new Problem($reference->pointer, \sprintf('%s is %s, which cannot stand here.', $target->name(), $target->kind()->article()), \sprintf('Choose one of: %s.', $kinds));
            }
        }

        return $problems;
    }

    /** @return iterable<string, Problem> */
    private function duplicates(): iterable
    {
        $seen = [];
        foreach ($this->plan->elements() as $id => $element) {
            $key = self::uniqueValue($element);
            if (null === $key) {
                continue;
            }
            $clash = isset($seen[$key]) ? $this->clash($element, $seen[$key]) : null;
            if (null !== $clash) {
                yield $id => $clash;
            }
            $seen[$key] = $element;
        }
    }

    /** The number or the extension that no other element may have; a number starts with a plus sign, so the two never meet. */
    private static function uniqueValue(Element $element): ?string
    {
        return match (true) {
            $element instanceof Number => $element->number,
            $element instanceof Person && '' !== $element->extension => $element->extension,
            default => null,
        };
    }

    private function clash(Element $element, Element $other): ?Problem
    {
        if ($element instanceof Number && $other instanceof Number && $element->number === $other->number) {
            return new Problem('/number', \sprintf('%s is in the plan already, as "%s".', $element->number, $other->name()), 'Change that one, or enter another number.');
        }
        if ($element instanceof Person && $other instanceof Person && '' !== $element->extension && $element->extension === $other->extension) {
            return new Problem('/extension', \sprintf('Extension %s belongs to %s.', $element->extension, $other->name()), 'Choose a free extension.');
        }

        return null;
    }
}
