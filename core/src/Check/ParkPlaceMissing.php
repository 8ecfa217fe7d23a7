<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Element\Site;
use Meandros\Core\Plan\Step\ParkStep;
use Meandros\Core\Value\Lists;

/**
 * A park step whose site has no such place, or none at all: no call is ever parked.
 *
 * @implements Check<Journey>
 */
final class ParkPlaceMissing implements Check
{
    public function looksAt(): array
    {
        return [Journey::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        foreach ($element->steps->everyStep('/steps') as $place => $step) {
            $site = $step instanceof ParkStep ? $survey->plan->get(Site::class, $step->site) : null;
            if (
                $step instanceof ParkStep &&
                null !== $site &&
                ([] === $site->parkPlaces || ('' !== $step->place && !Lists::has($site->parkPlaces, $step->place)))
            ) {
                $fix = [] === $site->parkPlaces ? null : Fix::replace($element, $place . '/place', '');
                yield Finding::warning(
                    $element,
                    $place . '/place',
                    'park-place-missing',
                    [
                        'site' => $site->name(),
                        'place' => $step->place,
                        'has' => [] === $site->parkPlaces ? 'none' : 'others',
                    ],
                    $fix,
                );
            }
        }
    }
}
