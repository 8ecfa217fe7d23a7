<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Routing\Entry;
use Meandros\Core\Routing\Router;
use Meandros\Core\Routing\TooMuchWork;
use Meandros\Core\Time\Moment;
use Meandros\Core\Wording\TraceReport;
use Meandros\Server\Storage\Editions;
use Meandros\Server\Storage\Live;
use Meandros\Server\Storage\NotFound;
use Meandros\Server\Storage\Plans;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** Trial calls: how a call fares, and when that changes. */
final readonly class TrialCallController
{
    public function __construct(
        private Plans $plans,
        private Router $router,
        private LiveChange $changes,
        private Live $live,
        private Editions $editions,
    ) {}

    /**
     * @throws InvalidData
     * @throws NotFound
     */
    #[Route('/api/trial-calls', methods: ['POST'])]
    public function try(Request $request): JsonResponse
    {
        $asked = TrialCallRequest::read($request, $this->plans);
        $trace = $this->router->trace(
            $asked->plan,
            $asked->call,
            $asked->assumptions,
            $this->live->state($asked->plan, $asked->call->instant),
        );

        $report = TraceReport::of($trace, $asked->plan, $asked->zone);
        $next = 'live' === $asked->which ? $this->editions->next($asked->call->instant) : null;
        // What another edition changes is not looked at here: from then on, it is another plan.
        if (null !== $next && $next[1] < ($trace->holds->until ?? \PHP_INT_MAX)) {
            $report['holds']['until'] = Moment::format($next[1], $asked->zone);
        }

        return new JsonResponse(
            [
                'directSteps' => Entry::directSteps($asked->plan, $asked->call->dialled),
                'edition' => 'live' === $asked->which ? $this->editions->live($asked->call->instant) : null,
            ] + $report,
        );
    }

    /**
     * @throws InvalidData
     * @throws NotFound
     */
    #[Route('/api/trial-calls/{direction}-change', requirements: ['direction' => 'next|previous'], methods: ['POST'])]
    public function change(string $direction, Request $request): JsonResponse
    {
        $asked = TrialCallRequest::read($request, $this->plans);
        $instant = $looked = null;
        try {
            $instant = 'next' === $direction ? $this->changes->next($asked) : $this->changes->previous($asked);
        } catch (TooMuchWork $enough) {
            $looked = $enough->instant ?? throw $enough;
        }
        $moment = static fn(?int $at): ?string => null === $at ? null : Moment::format($at, $asked->zone);

        return new JsonResponse(['at' => $moment($instant), 'looked' => $moment($looked)]);
    }
}
