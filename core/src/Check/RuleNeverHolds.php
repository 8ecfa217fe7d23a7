<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Call\Status;
use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\AnsweringRule;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Via;
use Meandros\Core\Value\Lists;

/**
 * An answering rule that holds only where one before it does.
 *
 * @implements Check<Person>
 */
final class RuleNeverHolds implements Check
{
    public function looksAt(): array
    {
        return [Person::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        foreach ($element->reach->rules as $i => $rule) {
            foreach (\array_slice($element->reach->rules, 0, $i) as $j => $earlier) {
                if (
                    $rule->term->on &&
                    $earlier->term->on &&
                    null === $earlier->term->until &&
                    self::covers($earlier, $rule)
                ) {
                    $fix = Fix::move($element, '/rules/' . $i, '/rules/' . $j);
                    yield Finding::warning(
                        $element,
                        '/rules/' . $i,
                        'rule-never-holds',
                        ['rule' => $rule->name, 'earlier' => $earlier->name],
                        $fix,
                    );
                    break;
                }
            }
        }
    }

    private static function covers(AnsweringRule $wideRule, AnsweringRule $narrowRule): bool
    {
        [$wide, $narrow] = [$wideRule->term->when, $narrowRule->term->when];

        return (null === $wide->hours ||
            ($wide->hours === $narrow->hours && [] === array_diff($narrow->states, $wide->states))) &&
            ([] === $wide->windows || $wide->windows == $narrow->windows) &&
            [] ===
                array_filter(
                    $narrow->statusesMeant(),
                    static fn(Status $status): bool => !Lists::has($wide->statusesMeant(), $status),
                ) &&
            (Via::Any === $wide->via || $wide->via === $narrow->via) &&
            ([] === $wide->callers || ([] !== $narrow->callers && [] === array_diff($narrow->callers, $wide->callers)));
    }
}
