<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\CallerList;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Step\CallerStep;

/**
 * A caller step one of whose lists names callers whom an earlier list of it names already: they never come to it.
 *
 * @implements Check<Journey>
 */
final class CallerInEarlierList implements Check
{
    public function looksAt(): array
    {
        return [Journey::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        foreach ($element->steps->everyStep('/steps') as $place => $step) {
            $earlier = [];
            foreach ($step instanceof CallerStep ? $step->exits()->items : [] as $i => $exit) {
                $list = $survey->plan->get(CallerList::class, $exit->on);
                if (null !== $list) {
                    yield from self::twice($element, \sprintf('%s/exits/%d', $place, $i), $list, $earlier);
                    $earlier[] = $list;
                }
            }
        }
    }

    /**
     * @param list<CallerList> $earlier
     *
     * @return iterable<Finding>
     */
    private static function twice(Journey $journey, string $pointer, CallerList $list, array $earlier): iterable
    {
        $count = 0;
        $first = [];
        foreach ([] === $earlier ? [] : $list->entries as $entry) {
            foreach ($earlier as $before) {
                if (null !== $before->entries->find($entry->match)) {
                    $first =
                        [] === $first
                            ? ['match' => $entry->match, 'list' => $list->name(), 'earlier' => $before->name()]
                            : $first;
                    ++$count;
                    break;
                }
            }
        }
        if ([] !== $first) {
            yield Finding::warning($journey, $pointer, 'caller-in-earlier-list', ['count' => $count] + $first);
        }
    }
}
