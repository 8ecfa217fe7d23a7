<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Outside\Lines;
use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Team;
use Meandros\Core\Ringing\OutsidePhone;

/**
 * A phone outside that is given up before its first ring: dialling it takes longer than its turn.
 *
 * @implements Check<Person|Team|Journey>
 */
final class GivenUpUnrung implements Check
{
    public function looksAt(): array
    {
        return [Person::class, Team::class, Journey::class];
    }

    /** What is enough to be answered. */
    private const USUAL_RINGING = 15;

    public function of(Element $element, Survey $survey): iterable
    {
        $turns = match (true) {
            $element instanceof Person => self::stages($element, $survey->lines),
            $element instanceof Team => self::members($element, $survey),
            default => self::steps($element, $survey),
        };
        foreach ($turns as $pointer => [$what, $setUp, $seconds]) {
            if ($seconds <= $setUp) {
                $enough = $setUp + self::USUAL_RINGING;
                yield Finding::warning(
                    $element,
                    $pointer,
                    'given-up-unrung',
                    ['what' => $what, 'setUp' => $setUp, 'seconds' => $seconds],
                    Fix::replace($element, $pointer, $enough, ['enough' => $enough]),
                );
            }
        }
    }

    /** @return iterable<string, array{string, int, int}> what is dialled, for how long until its first ring, and how long its turn is, by the turn's place */
    private static function stages(Person $person, Lines $lines): iterable
    {
        foreach ($person->reach->rules as $i => $rule) {
            foreach ($rule->term->on ? $rule->ringing->stages : [] as $j => $stage) {
                foreach ($stage->phones as $id) {
                    $phone = $person->phone($id);
                    if (null !== $phone?->outside && $phone->manner->on) {
                        yield \sprintf('/rules/%d/stages/%d/seconds', $i, $j) => [
                            $phone->label,
                            OutsidePhone::of(
                                $phone->outside,
                                $phone->manner->confirm,
                                $lines->isMobile($phone->outside->number),
                            )->setUp,
                            $stage->seconds,
                        ];
                    }
                }
            }
        }
    }

    /** @return iterable<string, array{string, int, int}> the same */
    private static function members(Team $team, Survey $survey): iterable
    {
        foreach ($team->ringing() as $i => $member) {
            $turn = $member->seconds ?? ($team->order->pattern->isInTurn() ? $team->order->memberSeconds : null);
            $person = $survey->plan->get(Person::class, $member->who->element);
            $phone = null === $member->who->phone ? null : $person?->phone($member->who->phone);
            $number = $member->who->number ?? $phone?->number();
            if (null !== $turn && null !== $number) {
                $isMobile = $survey->lines->isMobile($number);
                $setUp =
                    null === $phone?->outside
                        ? OutsidePhone::unknown($number, $isMobile)->setUp
                        : OutsidePhone::of($phone->outside, $phone->manner->confirm, $isMobile)->setUp;
                yield null === $member->seconds ? '/memberSeconds' : \sprintf('/members/%d/seconds', $i) => [
                    $phone->label ?? PhoneNumber::international($number),
                    $setUp,
                    $turn,
                ];
            }
        }
    }

    /** @return iterable<string, array{string, int, int}> the same */
    private static function steps(Journey $journey, Survey $survey): iterable
    {
        foreach ($survey->ringStepsOf($journey) as $place => $step) {
            $number = $step->target?->number;
            if (null !== $number && !$survey->lines->isOwn($number)) {
                yield $place . '/seconds' => [
                    PhoneNumber::international($number),
                    OutsidePhone::unknown($number, $survey->lines->isMobile($number))->setUp,
                    $step->length->seconds,
                ];
            }
        }
    }
}
