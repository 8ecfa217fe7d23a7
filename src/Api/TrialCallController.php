<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Routing\TooMuchWork;
use Meandros\Core\Time\Moment;
use Meandros\Server\Storage\NotFound;
use Meandros\Server\Storage\Plans;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** Trial calls: how a call fares, and when that changes. */
final readonly class TrialCallController
{
    public function __construct(private Plans $plans, private TriedCall $tried, private LiveChange $changes) {}

    /**
     * @throws InvalidData
     */
    #[Route('/api/trial-calls', defaults: Served::ELEMENT, methods: ['POST'])]
    public function try(Request $request): JsonResponse
    {
        return new JsonResponse($this->tried->report(TrialCallRequest::read($request, $this->plans)));
    }

    /**
     * @throws InvalidData
     * @throws NotFound
     */
    #[
        Route(
            '/api/trial-calls/{direction}-change',
            requirements: ['direction' => 'next|previous'],
            defaults: Served::ELEMENT,
            methods: ['POST'],
        ),
    ]
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
