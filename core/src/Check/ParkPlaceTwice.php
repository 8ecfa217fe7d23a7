<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Step\ParkStep;

/**
 * A place at which another step parks calls too: the second of two finds it taken.
 *
 * @implements Check<Journey>
 */
final class ParkPlaceTwice implements Check
{
    public function looksAt(): array
    {
        return [Journey::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        foreach ($element->steps->everyStep('/steps') as $place => $step) {
            if ($step instanceof ParkStep && null !== $step->site && '' !== $step->place) {
                $other = self::other($element, $step, $survey);
                if (null !== $other) {
                    yield Finding::warning(
                        $element,
                        $place . '/place',
                        'park-place-twice',
                        [
                            'place' => $step->place,
                            'other' => $other,
                            'where' => $other === $element->name() ? 'here' : 'elsewhere',
                        ],
                        Fix::replace($element, $place . '/place', ''),
                    );
                }
            }
        }
    }

    /** The journey in which another step parks calls at the same place. */
    private static function other(Journey $journey, ParkStep $step, Survey $survey): ?string
    {
        foreach ($survey->plan->mentioning((string) $step->site, Kind::Journey) as $one) {
            foreach ($one instanceof Journey ? $one->steps->everyStep('/steps') : [] as $other) {
                $isSame = $one->id() === $journey->id() && $other->id() === $step->id();
                if (
                    !$isSame &&
                    $other instanceof ParkStep &&
                    $other->site === $step->site &&
                    $other->place === $step->place
                ) {
                    return $one->name();
                }
            }
        }

        return null;
    }
}
