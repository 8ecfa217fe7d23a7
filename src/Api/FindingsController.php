<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Check\Checks;
use Meandros\Core\Check\Finding;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Reading\Input;
use Meandros\Core\Wording\FindingWords;
use Meandros\Server\Now;
use Meandros\Server\Proof\YearFindings;
use Meandros\Server\Storage\NotFound;
use Meandros\Server\Storage\Plans;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** What callers would not want: in the plan as it stands there, and in how all calls of a year fare. */
final readonly class FindingsController
{
    public function __construct(private Plans $plans, private Now $now, private YearFindings $year) {}

    /**
     * Of the whole plan, or of one element: a screen that shows one asks for its own.
     *
     * @throws NotFound
     */
    #[Route('/api/plans/{which}/findings', defaults: Served::LONG, methods: ['GET'])]
    public function findings(string $which, Request $request): JsonResponse
    {
        $plan = $this->plans->get($which);
        $id = $request->query->getString('element');
        $findings = match (true) {
            '' === $id => Checks::in($plan, $this->now->second()),
            null === ($element = $plan->find($id)) => throw new NotFound(
                \sprintf('There is no element "%s" in this plan.', Input::quote($id)),
            ),
            default => Checks::of($element, $plan, $this->now->second()),
        };

        return new JsonResponse(['findings' => $this->reports($findings, $plan)]);
    }

    /**
     * What is found in how all calls of the coming year fare.
     *
     * @throws NotFound
     */
    #[Route('/api/plans/{which}/year-findings', defaults: Served::PROOF, methods: ['GET'])]
    public function yearFindings(string $which): JsonResponse
    {
        $plan = $this->plans->get($which);
        [$findings, $left] = $this->year->in($plan);

        return new JsonResponse(['findings' => $this->reports($findings, $plan), 'left' => $left]);
    }

    /**
     * @param list<Finding> $findings
     *
     * @return list<array<string, mixed>>
     */
    private function reports(array $findings, Plan $plan): array
    {
        $settings = $plan->settings();
        $today = $this->now->day();

        return array_map(
            static fn(Finding $one): array => FindingWords::report(
                $one,
                // What stops publishing is mended, and not silenced.
                $one->blocksPublishing ? null : $settings->silence($one->element->id(), $one->code, $today),
            ),
            $findings,
        );
    }
}
