<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Plan\InvalidData;
use Meandros\Core\Plan\Json\Input;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Server\Storage\Draft;
use Meandros\Server\Storage\Editions;
use Meandros\Server\Storage\Entity\Edition;
use Meandros\Server\Storage\NotFound;
use Meandros\Server\Storage\NotPublishable;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** Publishing, and what was published. */
final readonly class EditionController
{
    public function __construct(private Editions $editions, private Draft $draft)
    {
    }

    #[Route('/api/editions', methods: ['GET'])]
    public function list(): JsonResponse
    {
        return new JsonResponse([
            'editions' => array_map(self::json(...), $this->editions->all()),
            'pending' => $this->pending(),
        ]);
    }

    /**
     * @throws InvalidData
     * @throws NotPublishable
     */
    #[Route('/api/editions', methods: ['POST'])]
    public function publish(Request $request): JsonResponse
    {
        $note = JsonBody::read($request, static function (Input $in): string {
            $in->onlyFields(['note']);

            return $in->field('note')->text(1000);
        });

        return new JsonResponse(self::json($this->editions->publish($note)), 201);
    }

    /** @throws NotFound */
    #[Route('/api/editions/{number}/restore', requirements: ['number' => '[1-9]\d{0,8}'], methods: ['POST'])]
    public function restore(int $number, Request $request): JsonResponse
    {
        JsonBody::data($request);

        return new JsonResponse($this->draft->replaceAll($this->editions->plan($number), \sprintf('Put edition %d back into the draft', $number))->toJson());
    }

    /** @return list<array{id: string, kind: string, name: string, what: string}> what publishing would change */
    private function pending(): array
    {
        $live = $this->editions->live();
        $before = null === $live ? [] : $this->editions->plan($live->number)->elements();
        $after = $this->draft->plan()->elements();
        $pending = [];
        foreach ($after + $before as $id => $element) {
            $what = match (true) {
                !isset($before[$id]) => 'added',
                !isset($after[$id]) => 'removed',
                PlanCodec::encodeElement($before[$id]) !== PlanCodec::encodeElement($after[$id]) => 'changed',
                default => null,
            };
            if (null !== $what) {
                $pending[] = ['id' => $id, 'kind' => $element->kind()->value, 'name' => $element->name(), 'what' => $what];
            }
        }

        return $pending;
    }

    /** @return array<string, mixed> */
    private static function json(Edition $edition): array
    {
        return ['number' => $edition->number, 'note' => $edition->note, 'who' => $edition->who, 'at' => $edition->publishedAt->format(\DATE_RFC3339), 'checksum' => $edition->checksum];
    }
}
