<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Element\Queue;

/**
 * An introduction after which nobody may wait any longer.
 *
 * @implements Check<Queue>
 */
final class IntroductionLongerThanWait implements Check
{
    public function looksAt(): array
    {
        return [Queue::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        $seconds = 0;
        foreach (
            [
                $element->callers->recording->on ? $element->callers->recording->notice : null,
                $element->callers->waiting->introduction,
            ]
            as $prompt
        ) {
            $seconds += Prompt::longestIn($survey->plan, $prompt);
        }
        if ($seconds >= $element->callers->waiting->longestSeconds) {
            $enough = min($seconds + 60, $element->callers->waiting::MOST_SECONDS);
            yield Finding::warning(
                $element,
                '/waiting',
                'introduction-longer-than-wait',
                ['seconds' => $seconds, 'longest' => $element->callers->waiting->longestSeconds],
                Fix::replace($element, '/waiting/longestSeconds', $enough, ['enough' => $enough]),
            );
        }
    }
}
