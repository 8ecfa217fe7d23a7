<?php

declare(strict_types=1);

namespace Meandros\Core\Recording;

use Meandros\Core\Plan\Behind;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Plan;

/** What is to be recorded, by voice, language and caption. */
final class RecordingSheet
{
    /** @return list<Wanted> */
    public static function of(Plan $plan, SheetWish $wish): array
    {
        $files = FileNames::of($plan)->byPrompt();
        $journey = null === $wish->journey ? null : $plan->get(Journey::class, $wish->journey);
        $part = null === $journey ? $plan : Behind::of($plan, $journey);
        $rows = [];
        foreach ($part->all(Prompt::class) as $prompt) {
            foreach ($prompt->scripts as $language => $script) {
                if (
                    '' === $script ||
                    (null !== $wish->language && $wish->language !== $language) ||
                    (null !== $wish->voice && $wish->voice !== $prompt->voice)
                ) {
                    continue;
                }
                foreach ($prompt->scriptParts($language) as $part) {
                    $state = TakeState::of($prompt, $part);
                    if (!$wish->onlyMissing || TakeState::Recorded !== $state) {
                        $rows[] = new Wanted($prompt, $part, $files[$prompt->id()][$part->key()], $state);
                    }
                }
            }
        }
        // Parts of a script follow one another.
        $place = static fn(Wanted $row): array => [
            $row->prompt->voice,
            $row->part->language,
            $files[$row->prompt->id()][$row->part->language] ?? '',
            $row->part->number,
        ];
        usort($rows, static fn(Wanted $a, Wanted $b): int => $place($a) <=> $place($b));

        return $rows;
    }
}
