<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Plan\Plan;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Server\Sound\Bundle;
use Meandros\Server\Sound\MachineVoice;
use Meandros\Server\Storage\Draft;
use Meandros\Server\Storage\NotFound;
use Meandros\Server\Storage\Plans;
use Meandros\Server\Storage\StaleRevision;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Plans with their sounds, as one file. */
final readonly class BundleController
{
    public function __construct(
        private Plans $plans,
        private Draft $draft,
        private Bundle $bundle,
        private MachineVoice $machine,
    ) {}

    /** @throws NotFound */
    #[Route('/api/plans/{which}/bundle', defaults: Served::LONG, methods: ['GET'])]
    public function takeAway(string $which): Response
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'meandros-bundle-');
        $this->bundle->write($this->plans->get($which), $path);

        return (new BinaryFileResponse($path, 200, [
            'Content-Type' => 'application/zip',
            'Content-Disposition' => \sprintf('attachment; filename="plan-%s.zip"', $which),
        ]))->deleteFileAfterSend();
    }

    /**
     * What bringing a bundle in would change; nothing is written.
     *
     * @throws InvalidData
     */
    #[Route('/api/plans/draft/bundle/preview', defaults: Served::LONG, methods: ['POST'])]
    public function preview(Request $request): JsonResponse
    {
        return new JsonResponse($this->draft->difference($this->read($request, false)));
    }

    /**
     * @throws InvalidData
     * @throws StaleRevision
     */
    #[Route('/api/plans/draft/bundle', defaults: Served::LONG, methods: ['PUT'])]
    public function bringIn(Request $request): JsonResponse
    {
        $revision = Revision::demanded($request);

        return new JsonResponse(
            $this->draft
                ->replaceAll($this->read($request, true), 'Bring in a plan with its sounds', $revision)
                ->toJson(),
        );
    }

    /** @throws InvalidData */
    private function read(Request $request, bool $keep): Plan
    {
        $upload = JsonBody::read($request, static function (Input $in): string {
            $in->onlyFields(['upload']);

            return $in->field('upload')->exactText(32);
        });

        return $this->machine->withAll($this->bundle->read($upload, $keep));
    }
}
