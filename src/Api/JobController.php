<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Server\Jobs\Job;
use Meandros\Server\Jobs\Jobs;
use Meandros\Server\Storage\NotFound;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\Routing\Attribute\Route;

/** Long work in the background: how far it is, what came of it, and giving it up. */
final readonly class JobController
{
    private const ID = '[1-9]\d{0,14}';

    public function __construct(private Jobs $jobs) {}

    #[Route('/api/jobs', methods: ['GET'])]
    public function atWork(): JsonResponse
    {
        return new JsonResponse([
            'jobs' => array_map(static fn(Job $job): array => $job->toJson(), $this->jobs->atWork()),
        ]);
    }

    /** @throws NotFound */
    #[Route('/api/jobs/{id}', requirements: ['id' => self::ID], methods: ['GET'])]
    public function show(int $id): JsonResponse
    {
        return new JsonResponse($this->jobs->get($id)->toJson());
    }

    /** @throws NotFound */
    #[Route('/api/jobs/{id}/cancel', requirements: ['id' => self::ID], methods: ['POST'])]
    public function cancel(int $id): JsonResponse
    {
        return new JsonResponse($this->jobs->cancel($id)->toJson());
    }
}
