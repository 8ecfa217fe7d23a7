<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Reading\InvalidData;
use Meandros\Server\Jobs\FindImpact;
use Meandros\Server\Jobs\Jobs;
use Meandros\Server\Proof\FoundImpact;
use Meandros\Server\Storage\NotFound;
use Meandros\Server\Storage\Plans;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** What another plan changes for callers, for a year from now on: the draft against what is live, where nothing else is asked. */
final readonly class ImpactController
{
    /** Seconds after which no further number is looked at while somebody waits: for a line, and for all that is published. */
    private const WAITED = 3.0;
    private const WAITED_FOR_ALL = 8.0;

    public function __construct(private FoundImpact $impact, private Plans $plans, private Jobs $jobs) {}

    /** @throws NotFound */
    #[Route('/api/impact', defaults: Served::PROOF, methods: ['GET'])]
    public function impact(Request $request): JsonResponse
    {
        [$before, $after] = self::which($request);

        return new JsonResponse($this->impact->byKeys($before, $after, self::WAITED_FOR_ALL));
    }

    /** @throws NotFound */
    #[Route('/api/impact/counted', defaults: Served::PROOF, methods: ['GET'])]
    public function counted(Request $request): JsonResponse
    {
        [$before, $after] = self::which($request);

        return new JsonResponse($this->impact->counted($before, $after, self::WAITED));
    }

    /**
     * Looks at all numbers, whatever phones do, in the background.
     *
     * @throws InvalidData
     * @throws NotFound
     */
    #[Route('/api/impact/in-full', methods: ['POST'])]
    public function inFull(Request $request): JsonResponse
    {
        JsonBody::nothing($request);
        [$before, $after] = self::which($request);
        $this->plans->get($before);
        $this->plans->get($after);
        $job = $this->jobs->start(FindImpact::NAME, 'Look at what changes for callers, whatever phones do', [
            'before' => $before,
            'after' => $after,
        ]);

        return new JsonResponse($job->toJson(), Response::HTTP_ACCEPTED);
    }

    /** @return array{string, string} before and after */
    private static function which(Request $request): array
    {
        return [$request->query->getString('before', 'live'), $request->query->getString('after', 'draft')];
    }
}
