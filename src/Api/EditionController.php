<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Plan\Json\ZoneReader;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Server\Now;
use Meandros\Server\Proof\BrokenPromises;
use Meandros\Server\Proof\PromisesLeft;
use Meandros\Server\Proof\PublishDespite;
use Meandros\Server\Storage\Draft;
use Meandros\Server\Storage\Editions;
use Meandros\Server\Storage\NotFound;
use Meandros\Server\Storage\NotPublishable;
use Meandros\Server\Storage\StaleRevision;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** Publishing, and what was published. */
final readonly class EditionController
{
    public function __construct(
        private Editions $editions,
        private Draft $draft,
        private PublishDespite $despite,
        private Now $now,
    ) {}

    #[Route('/api/editions', defaults: Served::LONG, methods: ['GET'])]
    public function list(Request $request): JsonResponse
    {
        [$most, $before] = Page::of($request);

        return new JsonResponse([
            'editions' => $this->editions->page($most, $before),
            'live' => $this->editions->live(),
            'next' => $this->next(),
        ]);
    }

    /** @return array{number: int, from: string}|null what comes into force next */
    private function next(): ?array
    {
        $next = $this->editions->next();

        return null === $next ? null : ['number' => $next[0], 'from' => gmdate(\DATE_RFC3339, $next[1])];
    }

    /** What publishing would change, and the revision of the draft that was looked at. */
    #[Route('/api/plans/draft/pending', defaults: Served::LONG, methods: ['GET'])]
    public function pending(): JsonResponse
    {
        $pending = $this->editions->pending();

        return new JsonResponse($pending, 200, ['ETag' => Revision::tag($pending->revision)]);
    }

    /**
     * Now, or at a moment to come; although expectations are broken, where it is said why.
     *
     * @throws InvalidData
     * @throws NotPublishable
     * @throws BrokenPromises
     * @throws PromisesLeft
     * @throws StaleRevision
     */
    #[Route('/api/editions', defaults: Served::LONG, methods: ['POST'])]
    public function publish(Request $request): JsonResponse
    {
        $revision = Revision::demanded($request);
        /** @var array{string, string, int|null} $read */
        $read = JsonBody::read($request, function (Input $in): array {
            $in->onlyFields(['note', 'despite', 'from', 'zone']);

            return [
                $in->field('note')->text(1000),
                $in->field('despite')->isGiven() ? $in->field('despite')->optionalText(1000) : '',
                $this->from($in),
            ];
        });
        [$note, $despite, $from] = $read;
        $reasons = fn(Plan $plan): array => $this->despite->reasons($plan, $despite);

        return new JsonResponse($this->editions->publish($note, $revision, $from, $reasons)->toJson(), 201);
    }

    /** When it is to come into force; null for at once. */
    private function from(Input $in): ?int
    {
        if (!$in->field('from')->isGiven()) {
            return null;
        }
        $zone = $in->field('zone')->isGiven() ? ZoneReader::read($in->field('zone')) : 'UTC';
        $from = MomentReader::read($in->field('from'), $zone);
        if ($from > 0 && $from <= $this->now->second()) {
            $in->field('from')->complain('not-to-come');
        }

        return $from;
    }

    /**
     * @throws NotFound
     * @throws NotPublishable
     */
    #[Route('/api/editions/{number}/again', requirements: ['number' => '[1-9]\d{0,8}'], methods: ['POST'])]
    public function again(int $number, Request $request): JsonResponse
    {
        JsonBody::nothing($request);

        return new JsonResponse($this->editions->again($number)->toJson(), 201);
    }

    /**
     * @throws NotFound
     * @throws NotPublishable
     */
    #[Route('/api/editions/{number}/revoke', requirements: ['number' => '[1-9]\d{0,8}'], methods: ['POST'])]
    public function revoke(int $number, Request $request): JsonResponse
    {
        JsonBody::nothing($request);

        return new JsonResponse($this->editions->revoke($number)->toJson());
    }

    /**
     * @throws NotFound
     * @throws StaleRevision
     */
    #[
        Route(
            '/api/editions/{number}/restore',
            requirements: ['number' => '[1-9]\d{0,8}'],
            defaults: Served::LONG,
            methods: ['POST'],
        ),
    ]
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
}
