<?php

declare(strict_types=1);

namespace Meandros\Core\Plan;

use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Queue;
use Meandros\Core\Plan\Element\Site;

/**
 * What can be dialled to reach an element: no two elements may have the same. Numbers start with a plus sign, codes
 * with * or #, extensions with a digit, so that the three never meet.
 */
final class Dialled
{
    /** @return array<string, string> by its place in the element */
    public static function by(Element $element): array
    {
        return match (true) {
            $element instanceof Number => [
                '/number' =>
                    null === $element->range->block
                        ? $element->range->number
                        : $element->range->number . '–' . $element->range->block->last,
            ],
            $element instanceof Person && '' !== $element->known->extension => [
                '/extension' => $element->known->extension,
            ],
            $element instanceof Hours => self::codes($element),
            $element instanceof Queue => self::signs($element),
            $element instanceof Site => self::places($element),
            default => [],
        };
    }

    /** @return array<string, string> */
    private static function places(Site $site): array
    {
        $places = [];
        foreach ($site->parkPlaces as $i => $place) {
            $places['/parkPlaces/' . $i] = $place;
        }

        return $places;
    }

    /** @return array<string, string> */
    private static function signs(Queue $queue): array
    {
        $codes = [];
        foreach ($queue->agents->duty->codes() as $field => $code) {
            $codes['/duty/' . $field] = $code;
        }

        return $codes;
    }

    /** @return array<string, string> */
    private static function codes(Hours $hours): array
    {
        $codes = [];
        foreach ($hours->states->codes as $i => $code) {
            $codes[\sprintf('/codes/%d/code', $i)] = $code->code;
        }

        return $codes;
    }
}
