<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Step\RingStep;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Routing\Router;
use Meandros\Core\Wording\AnswerSentence;
use Meandros\Core\Wording\TraceReport;
use Meandros\Server\Storage\Live;
use Meandros\Server\Storage\NotFound;
use Meandros\Server\Storage\Plans;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** How a person, a team or a ring step would ring for a call that comes to it now; also as it would be if it were changed. */
final readonly class RingPreviewController
{
    public function __construct(private Plans $plans, private Router $router, private Live $live) {}

    /**
     * @throws InvalidData
     * @throws NotFound
     */
    #[Route('/api/ring-previews', defaults: Served::ELEMENT, methods: ['POST'])]
    public function ring(Request $request): JsonResponse
    {
        /** @var array{TrialCallRequest, RingStep, Element|null, bool} $read */
        $read = JsonBody::read($request, function (Input $in): array {
            $in->onlyFields(['call', 'step', 'element', 'direct']);

            return [
                TrialCallRequest::from($in->field('call'), $this->plans),
                RingStep::fromJson($in->field('step')),
                $in->field('element')->isGiven() ? PlanCodec::readElement($in->field('element')) : null,
                $in->field('direct')->flag(false),
            ];
            // An element comes along.
        });
        [$asked, $step, $element, $direct] = $read;
        $plan = null === $element ? $asked->plan : $asked->plan->with($element);
        $trace = $this->router->ringing($plan, $step, $asked->call, $asked->assumptions, $asked->inForce($this->live));
        $report = TraceReport::of($trace, $plan, $asked->zone);

        $sentence = $direct ? $report['sentence'] : AnswerSentence::ofStep($trace, $plan);

        return new JsonResponse(
            ['sentence' => $sentence] +
                array_intersect_key($report, array_flip(['ending', 'seconds', 'rung', 'events'])),
        );
    }
}
