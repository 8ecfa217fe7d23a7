<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\Routing\Attribute\Route;

/** Says that the server is up; bin/start waits for it, and bin/bench measures trial calls against it. */
final readonly class EmptyController
{
    #[Route('/api/up', methods: ['GET'])]
    public function up(): JsonResponse
    {
        return new JsonResponse(['up' => true]);
    }
}
