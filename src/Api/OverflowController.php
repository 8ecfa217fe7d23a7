<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Overflow\Flow;
use Meandros\Core\Overflow\Overflow;
use Meandros\Core\Overflow\Stay;
use Meandros\Core\Plan\Plan;
use Meandros\Server\Storage\NotFound;
use Meandros\Server\Storage\Plans;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** Where calls flow that no queue takes. */
final readonly class OverflowController
{
    public function __construct(private Plans $plans) {}

    /**
     * Of all queues, or of one: a screen that shows one asks for its own.
     *
     * @throws NotFound
     */
    #[Route('/api/plans/{which}/overflow', defaults: Served::PROOF, methods: ['GET'])]
    public function overflow(string $which, Request $request): JsonResponse
    {
        $plan = $this->plans->get($which);
        $overflow = new Overflow($plan);
        $queue = $request->query->getString('queue');
        $starts = $overflow->queues('' === $queue ? null : $queue);
        $begins = array_flip(array_map(static fn(Stay $stay): string => $stay->key(), $starts));

        return new JsonResponse([
            'stays' => array_map(
                static fn(Stay $stay): array => self::stay($stay, $overflow, $plan, isset($begins[$stay->key()])),
                $overflow->reachable($starts),
            ),
        ]);
    }

    /** @return array<string, mixed> */
    private static function stay(Stay $stay, Overflow $overflow, Plan $plan, bool $isStart): array
    {
        $element = $plan->find($stay->by);

        return [
            'key' => $stay->key(),
            'journey' => $stay->journey,
            'step' => $stay->step->id(),
            'start' => $isStart,
            'by' => $stay->by,
            'kind' => $element?->kind()->value,
            'name' => $element?->name() ?? $stay->by,
            'longest' => $overflow->longest($stay),
            'comesBack' => [] !== $overflow->wayBack($stay),
            'flows' => array_map(
                static fn(Flow $flow): array => [
                    'exits' => $flow->exits,
                    'seconds' => $flow->seconds,
                    'to' => $flow->to?->key(),
                ],
                $overflow->from($stay),
            ),
        ];
    }
}
