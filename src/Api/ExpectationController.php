<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Plan\Element\Expectation;
use Meandros\Core\Proof\Promised\Suggestion;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Routing\Router;
use Meandros\Server\Jobs\HoldPromises;
use Meandros\Server\Jobs\Jobs;
use Meandros\Server\Proof\HeldPromises;
use Meandros\Server\Storage\Live;
use Meandros\Server\Storage\NotFound;
use Meandros\Server\Storage\Plans;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Whether the expectations of a plan are kept, for a year from now on. */
final readonly class ExpectationController
{
    /** Seconds after which no further number is looked at while somebody waits. */
    private const WAITED = 8.0;

    public function __construct(
        private Plans $plans,
        private HeldPromises $held,
        private Router $router,
        private Live $live,
        private Jobs $jobs,
    ) {}

    /** @throws NotFound */
    #[Route('/api/plans/{which}/expectations', defaults: Served::PROOF, methods: ['GET'])]
    public function all(string $which): JsonResponse
    {
        $plan = $this->plans->get($which);

        return new JsonResponse([
            'expectations' => $this->held->all($plan, self::WAITED),
        ]);
    }

    /**
     * Looks at all of them in full, in the background.
     *
     * @throws InvalidData
     * @throws NotFound
     */
    #[Route('/api/plans/{which}/expectations/in-full', defaults: Served::PROOF, methods: ['POST'])]
    public function inFull(string $which, Request $request): JsonResponse
    {
        JsonBody::nothing($request);
        $this->plans->get($which);
        $job = $this->jobs->start(HoldPromises::NAME, 'Hold all expectations, whatever phones do', ['in' => $which]);

        return new JsonResponse($job->toJson(), Response::HTTP_ACCEPTED);
    }

    /**
     * What may be expected of calls like one that was tried.
     *
     * @throws InvalidData
     */
    #[Route('/api/expected', defaults: Served::PROOF + Served::ELEMENT, methods: ['POST'])]
    public function suggested(Request $request): JsonResponse
    {
        $asked = TrialCallRequest::read($request, $this->plans);
        $live = $asked->inForce($this->live);
        $trace = $this->router->trace($asked->plan, $asked->call, $asked->assumptions, $live);
        $suggestion = Suggestion::of($trace, $asked->plan) ?? throw InvalidData::at('/to', 'not-to-a-number');

        return new JsonResponse(array_diff_key($suggestion->toJson(), ['id' => true]));
    }

    /** @throws NotFound */
    #[Route('/api/plans/{which}/expectations/{id}', defaults: Served::PROOF, methods: ['GET'])]
    public function one(string $which, string $id): JsonResponse
    {
        $plan = $this->plans->get($which);
        $expectation =
            $plan->get(Expectation::class, $id) ?? throw new NotFound('There is no such expectation in this plan.');

        return new JsonResponse($this->held->one($plan, $expectation, self::WAITED));
    }
}
