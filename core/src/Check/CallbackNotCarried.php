<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Destination;
use Meandros\Core\Plan\Element\OutsideLine;
use Meandros\Core\Plan\Element\Queue;

/**
 * Callers are to be called back, and no line may carry such a call.
 *
 * @implements Check<Queue>
 */
final class CallbackNotCarried implements Check
{
    /** Where callers are. */
    private const CALLERS = ['local', 'national', 'mobile', 'international'];

    public function looksAt(): array
    {
        return [Queue::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        $lines = $survey->lines;
        if (null === $element->callers->callback || !$lines->areKnown()) {
            return;
        }
        $chosen = $survey->plan->get(OutsideLine::class, $element->callers->callback->calls->line);
        $may = array_filter(
            null === $chosen ? $lines->from(null) : [$chosen],
            static fn(OutsideLine $line): bool => [] !==
                array_intersect(
                    self::CALLERS,
                    array_map(static fn(Destination $one): string => $one->value, $line->destinations),
                ),
        );
        if ([] === $may) {
            $line = $chosen ?? $lines->from(null)[0];
            $fix = Fix::add($line, '/destinations/-', Destination::National->value, ['line' => $line->name()]);
            yield Finding::warning(
                $element,
                '/callback/calls/line',
                'callback-not-carried',
                ['line' => $line->name()],
                $fix,
            );
        }
    }
}
