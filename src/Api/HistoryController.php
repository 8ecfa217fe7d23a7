<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Server\Storage\ChangeLog;
use Meandros\Server\Storage\Draft;
use Meandros\Server\Storage\NothingToUndo;
use Meandros\Server\Storage\StaleRevision;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** The change log of the draft, and going back and forth in it. */
final readonly class HistoryController
{
    public function __construct(private Draft $draft, private ChangeLog $log) {}

    /** @throws InvalidData */
    #[Route('/api/plans/draft/history', defaults: Served::LONG, methods: ['GET'])]
    public function show(Request $request): JsonResponse
    {
        [$most, $before] = Page::of($request);

        return new JsonResponse([
            'edits' => array_map(
                static fn(array $row): array => [
                    'id' => $row['edit']->id,
                    'label' => $row['edit']->label,
                    'who' => $row['edit']->who,
                    'at' => $row['edit']->madeAt->format(\DATE_RFC3339),
                    'state' => $row['edit']->state->value,
                    'changed' => $row['changed'],
                    'elements' => $row['elements'],
                ],
                $this->log->page($most, $before, $request->query->getString('element')),
            ),
        ]);
    }

    /** What one edit did: elements before and after, some at a time. */
    #[Route('/api/plans/draft/history/{edit}', requirements: ['edit' => '[1-9]\d{0,14}'], methods: ['GET'])]
    public function changes(int $edit, Request $request): JsonResponse
    {
        return new JsonResponse(['changes' => $this->log->changes($edit, $request->query->getString('after'))]);
    }

    /**
     * @throws NothingToUndo
     * @throws StaleRevision
     */
    #[Route('/api/plans/draft/undo', methods: ['POST'])]
    public function undo(Request $request): JsonResponse
    {
        return new JsonResponse($this->draft->undo(self::edit($request))->toJson());
    }

    /**
     * @throws NothingToUndo
     * @throws StaleRevision
     */
    #[Route('/api/plans/draft/redo', methods: ['POST'])]
    public function redo(Request $request): JsonResponse
    {
        return new JsonResponse($this->draft->redo(self::edit($request))->toJson());
    }

    /** @throws InvalidData */
    private static function edit(Request $request): int
    {
        return JsonBody::read($request, static function (Input $in): int {
            $in->onlyFields(['edit']);

            return $in->field('edit')->whole(1, \PHP_INT_MAX >> 10, 'an edit');
        });
    }
}
