<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Team;

/**
 * A call to a number outside that no outside line may carry.
 *
 * @implements Check<Person|Team|Journey>
 */
final class CallNotCarried implements Check
{
    public function looksAt(): array
    {
        return [Person::class, Team::class, Journey::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        $lines = $survey->lines;
        foreach ($lines->areKnown() ? Outgoing::of($element) : [] as $call) {
            if ([] === $lines->carriers($call->number, $call->site) && !$lines->isOwn($call->number)) {
                $line = $lines->from($call->site)[0];
                $destination = $lines->destination($call->number, $line)->value;
                $fix = Fix::add($line, '/destinations/-', $destination, ['line' => $line->name()]);
                yield Finding::warning(
                    $element,
                    $call->pointer,
                    'call-not-carried',
                    ['number' => PhoneNumber::international($call->number), 'destination' => $destination],
                    $fix,
                );
            }
        }
    }
}
