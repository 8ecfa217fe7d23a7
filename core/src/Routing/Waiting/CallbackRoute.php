<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Waiting;

use Meandros\Core\Call\Caller;
use Meandros\Core\Plan\Element\CallbackOffer;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Element\OutsideLine;
use Meandros\Core\Plan\Element\Queue;
use Meandros\Core\Routing\Walk;

/** How somebody who waits in a queue can be called back. */
final readonly class CallbackRoute
{
    /**
     * @param string      $number that is called: E.164, or an extension
     * @param string|null $line   by which it leaves; null inside, or where the plan does not say how calls leave
     * @param string|null $shows  the number of ours that they see, in E.164; null inside
     */
    private function __construct(
        public CallbackOffer $offer,
        public string $number,
        public ?string $line,
        public ?string $shows,
    ) {}

    /** Null where the queue calls nobody back, the caller's number is not known, or no line may carry the call: then nothing is offered. */
    public static function of(Queue $queue, Walk $walk): ?self
    {
        $caller = $walk->call->caller;
        if (null === $queue->callers->callback || Caller::WITHHELD === $caller->text) {
            return null;
        }
        if ($caller->isExtension()) {
            return new self($queue->callers->callback->offer, $caller->text, null, null);
        }
        $calls = $queue->callers->callback->calls;
        $carriers = $walk->lines->carriers($caller->text, $walk->arrival()->at->site);
        $may =
            null === $calls->line
                ? $carriers
                : array_values(
                    array_filter($carriers, static fn(OutsideLine $line): bool => $line->id() === $calls->line),
                );
        if ([] === $may && $walk->lines->areKnown()) {
            return null;
        }

        return new self(
            $queue->callers->callback->offer,
            $caller->text,
            ($may[0] ?? null)?->id(),
            $walk->plan->get(Number::class, $calls->shows)->range->number ?? $walk->arrival()->at->number,
        );
    }
}
