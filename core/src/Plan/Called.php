<?php

declare(strict_types=1);

namespace Meandros\Core\Plan;

use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Team;
use Meandros\Core\Plan\Step\RingStep;

/** Numbers in E.164 that an element calls. */
final class Called
{
    /** @return array<string, string> by their place in the element: phones, members, steps, and where rules pass calls on to */
    public static function by(Element $element): array
    {
        return match (true) {
            $element instanceof Person => self::phones($element) + self::onward($element),
            $element instanceof Team => self::members($element),
            $element instanceof Journey => self::steps($element),
            default => [],
        };
    }

    /** @return array<string, string> numbers of phones that are taken to be somebody's own, by their place in the element */
    public static function phonesOf(Element $element): array
    {
        return match (true) {
            $element instanceof Person => self::phones($element),
            $element instanceof Team => self::members($element),
            default => [],
        };
    }

    /** @return array<string, string> */
    private static function phones(Person $person): array
    {
        $numbers = [];
        foreach ($person->reach->phones as $i => $phone) {
            if (null !== $phone->number()) {
                $numbers[\sprintf('/phones/%d/number', $i)] = $phone->number();
            }
        }

        return $numbers;
    }

    /** @return array<string, string> */
    private static function onward(Person $person): array
    {
        $numbers = [];
        foreach ($person->reach->rules as $i => $rule) {
            foreach ($rule->then as $name => $outcome) {
                if (null !== $outcome->to?->number) {
                    $numbers[\sprintf('/rules/%d/next/%s', $i, $name)] = $outcome->to->number;
                }
            }
        }

        return $numbers;
    }

    /** @return array<string, string> */
    private static function members(Team $team): array
    {
        $numbers = [];
        foreach ($team->members as $i => $member) {
            if (null !== $member->who->number) {
                $numbers[\sprintf('/members/%d/who', $i)] = $member->who->number;
            }
        }

        return $numbers;
    }

    /** @return array<string, string> */
    private static function steps(Journey $journey): array
    {
        $numbers = [];
        foreach ($journey->steps->everyStep('/steps') as $place => $step) {
            $number = $step->takenBy() ?? '';
            if (str_starts_with($number, '+')) {
                $numbers[$place . ($step instanceof RingStep ? '/target' : '/number')] = $number;
            }
        }

        return $numbers;
    }
}
