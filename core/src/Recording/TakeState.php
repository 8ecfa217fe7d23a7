<?php

declare(strict_types=1);

namespace Meandros\Core\Recording;

use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Element\ScriptPart;
use Meandros\Core\Value\Lists;

/** Whether a script is recorded. */
enum TakeState: string
{
    case None = 'no take';
    case OtherWords = 'other words';
    case Recorded = 'recorded';

    public static function of(Prompt $prompt, ScriptPart $part): self
    {
        $take = $prompt->sounds->inUse($part);

        return match (true) {
            null === $take => self::None,
            $take->read->isOf($part->words) => self::Recorded,
            default => self::OtherWords,
        };
    }

    /** That of all parts of a script together: whichever wants more looking after. */
    public static function ofScript(Prompt $prompt, string $language): self
    {
        $states = array_map(
            static fn(ScriptPart $part): self => self::of($prompt, $part),
            $prompt->scriptParts($language),
        );

        return match (true) {
            Lists::has($states, self::OtherWords) => self::OtherWords,
            [] === $states || Lists::has($states, self::None) => self::None,
            default => self::Recorded,
        };
    }
}
