<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step\CallerStep;
use Meandros\Core\Plan\Step\GoStep;

/**
 * A caller step behind a number whose line delivers no numbers of callers: they are all withheld there.
 *
 * @implements Check<Journey>
 */
final class CallersNotTold implements Check
{
    public function looksAt(): array
    {
        return [Journey::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        $number = null;
        foreach ($element->steps->everyStep('/steps') as $place => $step) {
            if ($step instanceof CallerStep) {
                $number ??= self::numberBefore($element, $survey->plan) ?? false;
                if (false !== $number) {
                    yield Finding::warning($element, $place, 'callers-not-told', ['number' => $number->name()]);
                }
            }
        }
    }

    /** A number without numbers of callers that leads to the journey, straight or by others. */
    private static function numberBefore(Journey $journey, Plan $plan): ?Number
    {
        $seen = [$journey->id() => true];
        for ($next = [$journey->id()]; null !== ($id = array_shift($next)); ) {
            foreach ($plan->mentioning($id, Kind::Number) as $number) {
                if ($number instanceof Number && !$number->line->tellsCaller) {
                    return $number;
                }
            }
            foreach ($plan->mentioning($id, Kind::Journey) as $before) {
                if ($before instanceof Journey && !isset($seen[$before->id()]) && self::goes($before, $id)) {
                    $seen[$before->id()] = true;
                    $next[] = $before->id();
                }
            }
        }

        return null;
    }

    private static function goes(Journey $from, string $to): bool
    {
        foreach ($from->steps->everyStep('/steps') as $step) {
            if ($step instanceof GoStep && $step->leadsTo() === $to) {
                return true;
            }
        }

        return false;
    }
}
