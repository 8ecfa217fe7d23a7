<?php

declare(strict_types=1);

namespace Meandros\Core\Filling;

use Meandros\Core\Plan\Element\Blank;
use Meandros\Core\Plan\Element\Script;

/** What fills which blank. */
final class Fillers
{
    public static function of(Blank $blank): Filler
    {
        return match ($blank) {
            Blank::Opening => new OpeningFiller(),
            Blank::Date => new DateFiller(),
            Blank::Position => new PositionFiller(),
            Blank::Wait => new WaitFiller(),
            Blank::Name => new NameFiller(),
        };
    }

    /** @return array<string, string> words by blank, for those that the script has; empty ones where nothing is known */
    public static function fill(Script $script, string $language, Facts $facts): array
    {
        $filled = [];
        $spoken = Spoken::in($language);
        foreach ($script->blanks() as $blank) {
            $filled[$blank->value] ??= self::of($blank)->words($facts, $spoken);
        }

        return $filled;
    }
}
