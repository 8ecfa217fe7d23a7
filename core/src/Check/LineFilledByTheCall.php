<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Person;

/**
 * A line that carries one call at once, and is taken by the call that comes in.
 *
 * @implements Check<Person>
 */
final class LineFilledByTheCall implements Check
{
    public function looksAt(): array
    {
        return [Person::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        foreach ($survey->lines->areKnown() ? Outgoing::of($element) : [] as $call) {
            $carriers = $survey->lines->carriers($call->number, $call->site);
            if (
                1 === \count($carriers) &&
                1 === $carriers[0]->channels &&
                $carriers[0] === ($survey->lines->of($call->site)[0] ?? null)
            ) {
                $arguments = ['line' => $carriers[0]->name(), 'number' => PhoneNumber::international($call->number)];
                yield Finding::warning(
                    $element,
                    $call->pointer,
                    'line-filled-by-the-call',
                    $arguments,
                    Fix::replace($carriers[0], '/channels', 2),
                );
            }
        }
    }
}
