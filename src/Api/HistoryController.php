<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Server\Storage\Draft;
use Meandros\Server\Storage\Entity\Edit;
use Meandros\Server\Storage\Entity\EditChange;
use Meandros\Server\Storage\NothingToUndo;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** The change log of the draft, and going back and forth in it. */
final readonly class HistoryController
{
    private const MOST = 200;

    public function __construct(private Draft $draft)
    {
    }

    #[Route('/api/plans/draft/history', methods: ['GET'])]
    public function show(): JsonResponse
    {
        return new JsonResponse(['edits' => array_map(static fn (Edit $edit): array => [
            'id' => $edit->id,
            'label' => $edit->label,
            'who' => $edit->who,
            'at' => $edit->madeAt->format(\DATE_RFC3339),
            'state' => $edit->state->value,
            'elements' => array_map(static fn (EditChange $change): string => $change->elementId, $edit->changes()),
        ], $this->draft->history(self::MOST))]);
    }

    /** @throws NothingToUndo */
    #[Route('/api/plans/draft/undo', methods: ['POST'])]
    public function undo(Request $request): JsonResponse
    {
        JsonBody::data($request);

        return new JsonResponse($this->draft->undo()->toJson());
    }

    /** @throws NothingToUndo */
    #[Route('/api/plans/draft/redo', methods: ['POST'])]
    public function redo(Request $request): JsonResponse
    {
        JsonBody::data($request);

        return new JsonResponse($this->draft->redo()->toJson());
    }
}
