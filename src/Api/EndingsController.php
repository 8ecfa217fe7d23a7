<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Proof\Endings;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Routing\Router;
use Meandros\Core\Wording\EndingsReport;
use Meandros\Server\Storage\Live;
use Meandros\Server\Storage\Plans;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** Every way in which a call can end, whatever callers and answerers do. */
final readonly class EndingsController
{
    public function __construct(private Plans $plans, private Router $router, private Live $live) {}

    /** @throws InvalidData */
    #[Route('/api/endings', defaults: Served::PROOF + Served::ELEMENT, methods: ['POST'])]
    public function endings(Request $request): JsonResponse
    {
        $asked = TrialCallRequest::read($request, $this->plans);
        $live = $asked->inForce($this->live);
        $endings = Endings::of($asked->plan, $asked->call, $asked->assumptions, $live, $this->router);

        return new JsonResponse(EndingsReport::of($endings, $asked->plan));
    }
}
