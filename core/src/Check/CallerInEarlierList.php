<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\CallerEntry;
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
            $seen = [];
            foreach ($step instanceof CallerStep ? $step->exits()->items : [] as $i => $exit) {
                $list = $survey->plan->get(CallerList::class, $exit->on);
                $twice = array_values(array_filter($list->entries ?? [], static fn (CallerEntry $entry): bool => isset($seen[$entry->match])));
                if (null !== $list && [] !== $twice) {
                    yield Finding::warning($element, \sprintf('%s/exits/%d', $place, $i), 'caller-in-earlier-list', ['count' => \count($twice), 'match' => $twice[0]->match, 'list' => $list->name(), 'earlier' => $seen[$twice[0]->match]]);
                }
                foreach ($list->entries ?? [] as $entry) {
                    $seen[$entry->match] ??= $list?->name() ?? '';
                }
            }
        }
    }
}
