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
                $state = TakeState::of($prompt, $language);
                if (
                    '' !== $script &&
                    (null === $wish->language || $wish->language === $language) &&
                    (null === $wish->voice || $wish->voice === $prompt->voice) &&
                    (!$wish->onlyMissing || TakeState::Recorded !== $state)
                ) {
                    $rows[] = new Wanted(
                        $prompt->id(),
                        $prompt->name(),
                        $language,
                        $prompt->voice,
                        $script,
                        Prompt::estimate($script),
                        $files[$prompt->id()][$language],
                        $state,
                    );
                }
            }
        }
        usort(
            $rows,
            static fn(Wanted $a, Wanted $b): int => [$a->voice, $a->language, $a->file] <=> [
                $b->voice,
                $b->language,
                $b->file,
            ],
        );

        return $rows;
    }
}
