<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\RuleOutcome;
use Meandros\Core\Plan\Element\Team;

/** A call to a number outside that an element may make. */
final readonly class Outgoing
{
    /**
     * @param string      $pointer where in the element it is set
     * @param string      $number  E.164
     * @param string|null $site    from which it leaves; null where it belongs to nobody
     */
    private function __construct(public string $pointer, public string $number, public ?string $site) {}

    /** @return iterable<self> */
    public static function of(Person|Team|Journey $element): iterable
    {
        return match (true) {
            $element instanceof Person => self::person($element),
            $element instanceof Team => self::team($element),
            default => self::journey($element),
        };
    }

    /** @return iterable<self> */
    private static function person(Person $person): iterable
    {
        foreach ($person->reach->phones as $i => $phone) {
            if (null !== $phone->number() && $phone->manner->on) {
                yield new self('/phones/' . $i, $phone->number(), $person->site);
            }
        }
        foreach ($person->reach->rules as $i => $rule) {
            $outside = array_map(
                static fn(RuleOutcome $outcome): ?string => $outcome->to?->number,
                $rule->term->on ? $rule->then : [],
            );
            foreach (array_unique(array_filter($outside)) as $number) {
                yield new self('/rules/' . $i, $number, $person->site);
            }
        }
    }

    /** @return iterable<self> */
    private static function team(Team $team): iterable
    {
        foreach ($team->ringing() as $i => $member) {
            if (null !== $member->who->number) {
                yield new self('/members/' . $i, $member->who->number, null);
            }
        }
    }

    /** @return iterable<self> */
    private static function journey(Journey $journey): iterable
    {
        foreach ($journey->steps->everyStep('/steps') as $place => $step) {
            $number = $step->takenBy() ?? '';
            if (str_starts_with($number, '+')) {
                yield new self($place, $number, null);
            }
        }
    }
}
