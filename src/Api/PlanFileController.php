<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Reading\InvalidData;
use Meandros\Server\Sound\MachineVoice;
use Meandros\Server\Sound\SamplePlan;
use Meandros\Server\Storage\Draft;
use Meandros\Server\Storage\StaleRevision;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Plan files that are brought in. */
final readonly class PlanFileController
{
    public function __construct(private Draft $draft, private MachineVoice $machine, private SamplePlan $sample) {}

    /**
     * @throws InvalidData
     * @throws StaleRevision
     */
    #[Route('/api/plans/draft/file', defaults: Served::FILE, methods: ['PUT'])]
    public function bringIn(Request $request): JsonResponse
    {
        $revision = Revision::demanded($request);

        return new JsonResponse(
            $this->draft->replaceAll($this->read($request), 'Bring in a plan file', $revision)->toJson(),
        );
    }

    /**
     * What bringing in a plan file would change.
     *
     * @throws InvalidData
     */
    #[Route('/api/plans/draft/file/preview', defaults: Served::FILE, methods: ['POST'])]
    public function preview(Request $request): JsonResponse
    {
        return new JsonResponse($this->draft->difference($this->read($request)));
    }

    /** The demo plan, as a file. */
    #[Route('/api/demo-plan', methods: ['GET'])]
    public function demo(#[Autowire('%kernel.project_dir%/demo/ternwick-ferries.json')] string $file): Response
    {
        $plan = $this->sample->load((string) file_get_contents($file), $file);

        return new Response(PlanCodec::encode($plan), headers: ['Content-Type' => 'application/json']);
    }

    /** @throws InvalidData */
    private function read(Request $request): Plan
    {
        return $this->machine->withAll(PlanCodec::fromData(JsonBody::data($request)));
    }
}
