<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Mailbox;
use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Script\NamedDates;
use Meandros\Core\Time\CivilDate;

/**
 * A greeting for a while that is still heard, and names a date that has passed.
 *
 * @implements Check<Mailbox>
 */
final class GreetingNamesPastDate implements Check
{
    public function looksAt(): array
    {
        return [Mailbox::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        $away = $element->greetings->away;
        $prompt = $survey->plan->get(Prompt::class, $away?->greeting);
        $today = intdiv($survey->now ?? 0, CivilDate::SECONDS_PER_DAY);
        $until = null === $away ? null : CivilDate::parse(substr($away->until, 0, 10));
        if (null === $survey->now || null === $prompt || null === $until || $until < $today) {
            return;
        }
        foreach ($prompt->scripts as $language => $script) {
            foreach (NamedDates::in($script, $language, $today) as $words => $date) {
                if ($date < $today) {
                    yield Finding::warning($element, '/away/greeting', 'greeting-names-past-date', [
                        'words' => $words,
                        'language' => $language,
                        'prompt' => $prompt->name(),
                    ]);
                }
            }
        }
    }
}
