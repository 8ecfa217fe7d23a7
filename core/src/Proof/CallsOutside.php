<?php

declare(strict_types=1);

namespace Meandros\Core\Proof;

use Meandros\Core\Plan\Called;
use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Element\OutsideLine;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Queue;
use Meandros\Core\Plan\Element\Team;
use Meandros\Core\Plan\Plan;

/** Who calls numbers outside: they depend on outside lines, and on blocks that take what they call, and mention none of them. */
final class CallsOutside
{
    private const KINDS = [Person::class, Team::class, Journey::class, Queue::class];

    /** @return list<Element> that depend on an element by the numbers that they call */
    public static function dependingOn(Plan $plan, Element $element): array
    {
        $depends = match (true) {
            $element instanceof OutsideLine => self::callsOut(...),
            $element instanceof Number && $element->range->isMany() => static fn(Element $one): bool => [] !==
                array_filter(Called::by($one), $element->range->takes(...)),
            default => null,
        };

        return null === $depends
            ? []
            : array_values(array_filter(array_merge(...array_map($plan->all(...), self::KINDS)), $depends));
    }

    private static function callsOut(Element $element): bool
    {
        return [] !== Called::by($element) || ($element instanceof Queue && null !== $element->callers->callback);
    }
}
