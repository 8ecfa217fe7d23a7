<?php

declare(strict_types=1);

namespace Meandros\Core\Recording;

use Meandros\Core\Plan\Element\Prompt;

/** Whether a script is recorded. */
enum TakeState: string
{
    case None = 'no take';
    case OtherWords = 'other words';
    case Recorded = 'recorded';

    public static function of(Prompt $prompt, string $language): self
    {
        $take = $prompt->sounds->inUse($language);

        return match (true) {
            null === $take => self::None,
            $take->isOf($prompt->scripts[$language] ?? '') => self::Recorded,
            default => self::OtherWords,
        };
    }
}
