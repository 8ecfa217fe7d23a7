<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Plan\Element;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Routing\Entry;
use Meandros\Core\Routing\Router;
use Meandros\Core\Routing\TooMuchWork;
use Meandros\Core\Time\Moment;
use Meandros\Core\Wording\TraceReport;
use Meandros\Server\Storage\Editions;
use Meandros\Server\Storage\Live;
use Meandros\Server\Storage\Plans;

/** How a call fares, as JSON. */
final readonly class TriedCall
{
    public function __construct(
        private Plans $plans,
        private Router $router,
        private Live $live,
        private Editions $editions,
    ) {}

    /**
     * @return array<string, mixed>
     *
     * @throws TooMuchWork
     */
    public function report(TrialCallRequest $asked): array
    {
        $trace = $this->router->trace($asked->plan, $asked->call, $asked->assumptions, $asked->inForce($this->live));

        $report = TraceReport::of($trace, $asked->plan, $asked->zone);
        $next = 'live' === $asked->which ? $this->editions->next($asked->call->instant) : null;
        // What another edition changes is not looked at here: from then on, it is another plan.
        if (null !== $next && $next[1] < ($trace->holds->until ?? \PHP_INT_MAX)) {
            $report['holds']['until'] = Moment::format($next[1], $asked->zone);
        }

        return [
            'directSteps' => Entry::directSteps($asked->plan, $asked->call->dialled),
            'edition' => 'live' === $asked->which ? $this->editions->live($asked->call->instant) : null,
        ] + $report;
    }

    /**
     * With an element as it is about to be written.
     *
     * @return array<string, mixed>|null null where the call cannot be tried so: that is told when it is tried by itself
     */
    public function with(Element $element, mixed $call): ?array
    {
        try {
            return $this->report(
                Input::read(
                    $call,
                    fn(Input $in): TrialCallRequest => TrialCallRequest::from($in, $this->plans, $element),
                ),
            );
        } catch (InvalidData | \RuntimeException) {
            // No such plan, too much work, or somebody wrote meanwhile.
            return null;
        }
    }
}
