<?php

declare(strict_types=1);

namespace Meandros\Core\People;

use Meandros\Core\Plan\Element\AnsweringRule;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Phone;
use Meandros\Core\Plan\Element\RuleOutcome;
use Meandros\Core\Plan\Element\RuleRinging;
use Meandros\Core\Plan\Element\RuleStage;
use Meandros\Core\Plan\Target;

/** The answering rules of one person, for another: their phones, and their own mailbox, in place of the first's. */
final class RuleCopy
{
    /** The other person with these rules in place of their own. */
    public static function to(Person $from, Person $to): Person
    {
        return $to->reachedBy($to->reach->withRules(self::rules($from, $to, self::names($from, $to))));
    }

    /**
     * Which phone of the other stands for each: the one with the same id and type, else the next of its type.
     *
     * @return array<string, string> phones without a counterpart are missing
     */
    public static function names(Person $from, Person $to): array
    {
        $names = $seen = [];
        foreach ($from->reach->phones as $phone) {
            $nth = $seen[$phone->type->value] ?? 0;
            $seen[$phone->type->value] = $nth + 1;
            $ofType = array_values(
                array_filter($to->reach->phones, static fn(Phone $other): bool => $other->type === $phone->type),
            );
            $same = array_values(array_filter($ofType, static fn(Phone $other): bool => $other->id === $phone->id));
            $match = $same[0] ?? ($ofType[$nth] ?? null);
            if (null !== $match) {
                $names[$phone->id] = $match->id;
            }
        }

        return $names;
    }

    /**
     * @param array<string, string> $names of phones
     *
     * @return list<AnsweringRule> a rule whose stages all ring phones that the other does not have is left out
     */
    public static function rules(Person $from, Person $to, array $names): array
    {
        $rules = [];
        foreach ($from->reach->rules as $rule) {
            $stages = self::stages($rule, $names);
            if ([] === $stages && [] !== $rule->ringing->stages) {
                continue;
            }
            $then = array_map(
                static fn(RuleOutcome $outcome): RuleOutcome => new RuleOutcome(
                    match ($outcome->to?->element) {
                        null => $outcome->to,
                        $from->reach->mailbox => null === $to->reach->mailbox
                            ? null
                            : Target::element($to->reach->mailbox),
                        $to->id() => null,
                        default => $outcome->to,
                    },
                    $outcome->greeting,
                ),
                $rule->then,
            );
            $rules[] = new AnsweringRule(
                $rule->id,
                $rule->name,
                $rule->term,
                new RuleRinging($stages, $rule->ringing->againMinutes),
                $then,
            );
        }

        return $rules;
    }

    /**
     * @param array<string, string> $names
     *
     * @return list<RuleStage>
     */
    private static function stages(AnsweringRule $rule, array $names): array
    {
        $stages = [];
        foreach ($rule->ringing->stages as $stage) {
            $phones = array_values(array_unique(array_intersect_key($names, array_flip($stage->phones))));
            if ([] !== $phones || [] !== $stage->teams) {
                $stages[] = new RuleStage($phones, $stage->after, $stage->seconds, $stage->teams);
            }
        }

        return $stages;
    }
}
