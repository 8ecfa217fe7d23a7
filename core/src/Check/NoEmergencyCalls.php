<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Destination;
use Meandros\Core\Plan\Element\OutsideLine;
use Meandros\Core\Value\Lists;

/**
 * Outside lines none of which may carry emergency calls: told at the first.
 *
 * @implements Check<OutsideLine>
 */
final class NoEmergencyCalls implements Check
{
    public function looksAt(): array
    {
        return [OutsideLine::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        $all = $survey->lines->from(null);
        $carrying = array_filter(
            $all,
            static fn(OutsideLine $line): bool => Lists::has($line->destinations, Destination::Emergency),
        );
        if ([] === $carrying && $element->id() === $all[0]->id()) {
            $fix = Fix::add($element, '/destinations/-', Destination::Emergency->value, ['line' => $element->name()]);
            yield Finding::warning($element, '/destinations', 'no-emergency-calls', [], $fix);
        }
    }
}
