<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Hours;
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
        foreach (self::uniqueValues($element) as $pointer => $value) {
            foreach ($this->plan->mentioning($value) as $other) {
                if ($other->id() !== $element->id() && \in_array($value, self::uniqueValues($other), true)) {
                    $problems[] = self::clash($element, $pointer, $value, $other);
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
            foreach (self::uniqueValues($element) as $pointer => $value) {
                if (isset($seen[$value])) {
                    yield $id => self::clash($element, $pointer, $value, $seen[$value]);
                }
                $seen[$value] = $element;
            }
        }
    }

    /**
     * Everything that can be dialled, by its place: no two elements may have the same. Numbers start with a plus sign,
     * codes with * or #, extensions with a digit, so that the three never meet.
     *
     * @return array<string, string>
     */
    private static function uniqueValues(Element $element): array
    {
        return match (true) {
            $element instanceof Number => ['/number' => $element->number],
            $element instanceof Person && '' !== $element->extension => ['/extension' => $element->extension],
            $element instanceof Hours => self::codes($element),
            default => [],
        };
    }

    /** @return array<string, string> */
    private static function codes(Hours $hours): array
    {
        $codes = [];
        foreach ($hours->codes as $i => $code) {
            $codes[\sprintf('/codes/%d/code', $i)] = $code->code;
        }

        return $codes;
    }

    private static function clash(Element $element, string $pointer, string $value, Element $other): Problem
    {
        return match (true) {
            $element instanceof Number => new Problem($pointer, \sprintf('%s is in the plan already, as "%s".', $value, $other->name()), 'Change that one, or enter another number.'),
            $element instanceof Person => new Problem($pointer, \sprintf('Extension %s belongs to %s.', $value, $other->name()), 'Choose a free extension.'),
            default => new Problem($pointer, \sprintf('The code %s belongs to %s.', $value, $other->name()), 'Choose a free code.'),
        };
    }
}
