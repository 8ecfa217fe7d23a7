<?php

declare(strict_types=1);

namespace Meandros\Core\Plan;

use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Element\Person;

/** The number by which somebody is called straight from outside. */
final class OwnNumber
{
    /** @return string|null E.164: a number that leads to the person, else that of a block for their extension; null where there is none */
    public static function of(Plan $plan, Person $person): ?string
    {
        $own = array_map(static fn(Number $one): string => $one->range->number, self::alone($plan, $person));
        sort($own);

        return $own[0] ?? self::inBlock($plan, $person->known->extension);
    }

    /** @return list<Number> numbers that stand alone and lead to the person */
    public static function alone(Plan $plan, Person $person): array
    {
        $alone = [];
        foreach ($plan->mentioning($person->id(), Kind::Number) as $number) {
            if ($number instanceof Number && !$number->range->isMany() && $number->target?->element === $person->id()) {
                $alone[] = $number;
            }
        }

        return $alone;
    }

    private static function inBlock(Plan $plan, string $extension): ?string
    {
        foreach (self::blocksFor($plan, $extension) as $block) {
            $number = $block->range->block?->numberOf($extension);
            // One that stands alone in the plan is an exception.
            if (null !== $number && $plan->dialled($number) === $block) {
                return $number;
            }
        }

        return null;
    }

    /** @return list<Number> blocks with a number for the extension */
    public static function blocksFor(Plan $plan, string $extension): array
    {
        return array_values(
            array_filter(
                '' === $extension ? [] : $plan->mentioning(Number::MANY),
                static fn(Element $one): bool => $one instanceof Number &&
                    null !== $one->range->block?->numberOf($extension),
            ),
        );
    }
}
