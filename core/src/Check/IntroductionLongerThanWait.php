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
        $prompt = $survey->plan->get(Prompt::class, $element->waiting->introduction);
        $seconds = null === $prompt ? 0 : max(0, ...array_map($prompt->seconds(...), array_keys($prompt->scripts)));
        if ($seconds >= $element->waiting->longestSeconds) {
            $enough = min($seconds + 60, $element->waiting::MOST_SECONDS);
            yield Finding::warning($element, '/waiting', 'introduction-longer-than-wait', ['seconds' => $seconds, 'longest' => $element->waiting->longestSeconds], Fix::replace($element, '/waiting/longestSeconds', $enough, ['enough' => $enough]));
        }
    }
}
