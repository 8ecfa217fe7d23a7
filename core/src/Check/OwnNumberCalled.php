<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Called;
use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Team;

/**
 * A step, a member or a rule that calls one of our own numbers.
 *
 * @implements Check<Person|Team|Journey>
 */
final class OwnNumberCalled implements Check
{
    public function looksAt(): array
    {
        return [Person::class, Team::class, Journey::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        foreach (Called::by($element) as $pointer => $called) {
            $number = $survey->lines->isOwn($called) ? $survey->plan->dialled($called) : null;
            if ($number instanceof Number) {
                $target = $survey->plan->find($number->target?->element);
                $fits = $element instanceof Person || $target instanceof Person || $target instanceof Team;
                $isForward = str_ends_with($pointer, '/number');
                $fix =
                    null === $target || !$fits || $isForward
                        ? null
                        : Fix::replace($element, $pointer, $target->id(), ['target' => $target->name()]);
                yield Finding::warning($element, $pointer, 'own-number-called', ['number' => $number->name()], $fix);
            }
        }
    }
}
