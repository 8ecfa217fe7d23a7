<?php

declare(strict_types=1);

namespace Meandros\Core\Wording;

/** "while Bookings hours are “Open” or “Lunch”". */
final class HoursWords
{
    /** @param list<string> $states none for whatever counts as open */
    public static function while(Names $names, string $hours, array $states, string $language = 'en'): string
    {
        $said = array_map(
            static fn(string $key): string => Listed::quoted($names->state($hours, $key), $language),
            $states,
        );

        return Catalog::of('promises', $language)->say([] === $states ? 'open' : 'states', [
            'hours' => $names->of($hours),
            'states' => Listed::words($said, 'or', $language),
        ]);
    }
}
