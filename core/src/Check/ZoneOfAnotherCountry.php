<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Site;
use Meandros\Core\Time\CivilDate;
use Meandros\Core\Time\Zone;
use Meandros\Core\Value\Lists;

/**
 * The clock of a site is one that nobody in its country keeps: either is wrong, and all its hours with it.
 *
 * @implements Check<Site>
 */
final class ZoneOfAnotherCountry implements Check
{
    private const DAYS = 366;

    public function looksAt(): array
    {
        return [Site::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        $place = $element->place;
        $zones = Zone::ofCountry($place->country);
        if ([] !== $zones && !self::isKept($place->zone, $zones, $survey->now ?? 0)) {
            yield Finding::warning(
                $element,
                '/zone',
                'zone-of-another-country',
                ['zone' => $place->zone, 'region' => $place->country],
                1 === \count($zones) ? Fix::replace($element, '/zone', $zones[0], ['its' => $zones[0]]) : null,
            );
        }
    }

    /** @param non-empty-list<string> $zones in one of which clocks show the same for a year */
    private static function isKept(string $name, array $zones, int $from): bool
    {
        if (Lists::has($zones, $name)) {
            return true;
        }
        $over = static fn(string $one): Zone => Zone::over(
            $one,
            $from,
            $from + self::DAYS * CivilDate::SECONDS_PER_DAY,
        );
        $its = $over($name);
        foreach ($zones as $zone) {
            if ($over($zone)->isLike($its)) {
                return true;
            }
        }

        return false;
    }
}
