<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Blank;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step\HoursStep;

/**
 * A blank of which nothing is known wherever its prompt is heard: the next opening where no hours are looked at, the place of
 * somebody who does not wait.
 *
 * @implements Check<Prompt>
 */
final class BlankNeverFilled implements Check
{
    public function looksAt(): array
    {
        return [Prompt::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        foreach (array_keys($element->scripts) as $language) {
            foreach (array_unique($element->script($language)->blanks(), \SORT_REGULAR) as $blank) {
                $code = match ($blank) {
                    Blank::Opening => self::knowsHours($element, $survey->plan) ? null : 'blank-without-hours',
                    Blank::Position, Blank::Wait => $survey->plan->isMentioned($element->id(), Kind::Queue)
                        ? null
                        : 'blank-outside-queue',
                    Blank::Date, Blank::Name => null,
                };
                if (null !== $code) {
                    yield Finding::warning($element, '/scripts/' . $language, $code, ['blank' => $blank->value]);
                }
            }
        }
    }

    /** Whether it has hours of its own, or a journey that plays it looks at some. */
    private static function knowsHours(Prompt $prompt, Plan $plan): bool
    {
        if (null !== $prompt->hours) {
            return true;
        }
        foreach ($plan->mentioning($prompt->id(), Kind::Journey) as $journey) {
            foreach ($journey instanceof Journey ? $journey->steps->everyStep('/steps') : [] as $step) {
                if ($step instanceof HoursStep) {
                    return true;
                }
            }
        }

        return false;
    }
}
