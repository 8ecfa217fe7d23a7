<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Server\Storage\Draft;
use Meandros\Server\Storage\Editions;
use Meandros\Server\Storage\Entity\Edition;
use Meandros\Server\Storage\NotFound;
use Meandros\Server\Storage\NotPublishable;
use Meandros\Server\Storage\StaleRevision;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** Publishing, and what was published. */
final readonly class EditionController
{
    public function __construct(private Editions $editions, private Draft $draft) {}

    #[Route('/api/editions', methods: ['GET'])]
    public function list(Request $request): JsonResponse
    {
        [$most, $before] = Page::of($request);

        return new JsonResponse([
            'editions' => $this->editions->page($most, $before),
            'live' => $this->editions->live(),
        ]);
    }

    /** What publishing would change, and the revision of the draft that was looked at. */
    #[Route('/api/plans/draft/pending', methods: ['GET'])]
    public function pending(): JsonResponse
    {
        $pending = $this->editions->pending();

        return new JsonResponse($pending, 200, ['ETag' => Revision::tag($pending['revision'])]);
    }

    /**
     * @throws InvalidData
     * @throws NotPublishable
     * @throws StaleRevision
     */
    #[Route('/api/editions', methods: ['POST'])]
    public function publish(Request $request): JsonResponse
    {
        $revision = Revision::demanded($request);
        $note = JsonBody::read($request, static function (Input $in): string {
            $in->onlyFields(['note']);

            return $in->field('note')->text(1000);
        });

        return new JsonResponse(self::json($this->editions->publish($note, $revision)), 201);
    }

    /**
     * @throws NotFound
     * @throws StaleRevision
     */
    #[Route('/api/editions/{number}/restore', requirements: ['number' => '[1-9]\d{0,8}'], methods: ['POST'])]
    public function restore(int $number, Request $request): JsonResponse
    {
        $revision = Revision::demanded($request);
        JsonBody::nothing($request);

        return new JsonResponse(
            $this->draft
                ->replaceAll(
                    $this->editions->plan($number),
                    \sprintf('Put edition %d back into the draft', $number),
                    $revision,
                )
                ->toJson(),
        );
    }

    /** @return array<string, mixed> */
    private static function json(Edition $edition): array
    {
        return [
            'number' => $edition->number,
            'note' => $edition->note,
            'who' => $edition->who,
            'at' => $edition->publishedAt->format(\DATE_RFC3339),
            'checksum' => $edition->checksum,
        ];
    }
}
