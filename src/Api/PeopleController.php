<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\People\PeopleCards;
use Meandros\Core\People\PeopleTable;
use Meandros\Core\People\PersonOutcome;
use Meandros\Core\People\PersonRow;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Limits;
use Meandros\Core\Wording\RowReport;
use Meandros\Server\Jobs\ImportPeople;
use Meandros\Server\Jobs\Jobs;
use Meandros\Server\Storage\Draft;
use Meandros\Server\Storage\NotFound;
use Meandros\Server\Storage\Plans;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** People as files: comma-separated values and vCards, in and out. */
final readonly class PeopleController
{
    private const MOST_BYTES = 8_000_000;

    /** Rows of a large file that are looked at before it is brought in. */
    private const SHOWN = 200;

    public function __construct(
        private Plans $plans,
        private Draft $draft,
        private ImportPeople $people,
        private Jobs $jobs,
    ) {}

    /** @throws NotFound */
    #[
        Route(
            '/api/plans/{which}/people.{format}',
            requirements: ['format' => 'csv|vcf'],
            defaults: Served::LONG,
            methods: ['GET'],
        ),
    ]
    public function export(string $which, string $format): Response
    {
        $plan = $this->plans->get($which);

        return new Response('csv' === $format ? PeopleTable::write($plan) : PeopleCards::write($plan), 200, [
            'Content-Type' => 'csv' === $format ? 'text/csv; charset=utf-8' : 'text/vcard; charset=utf-8',
            'Content-Disposition' => \sprintf('attachment; filename="people.%s"', $format),
        ]);
    }

    /**
     * What a file would do, row by row; nothing is written. Of a large one, what its first rows would do.
     *
     * @throws InvalidData
     */
    #[Route('/api/plans/draft/people/preview', defaults: Served::FILE, methods: ['POST'])]
    public function preview(Request $request): JsonResponse
    {
        [$rows] = self::read($request);
        $isLarge = \count($rows) > Limits::PEOPLE;
        $plan = $this->draft->plan();
        $outcomes = ImportPeople::outcomes($plan, $isLarge ? \array_slice($rows, 0, self::SHOWN) : $rows);

        return new JsonResponse([
            'count' => \count($rows),
            'inBackground' => $isLarge,
            'rows' => array_map(static fn(PersonOutcome $one): array => RowReport::person($one, $plan), $outcomes),
        ]);
    }

    /**
     * Takes a file over as one edit: every row, or with leaveOut those that can be taken. A large one in the background.
     *
     * @throws InvalidData
     */
    #[Route('/api/plans/draft/people', defaults: Served::FILE, methods: ['POST'])]
    public function import(Request $request): JsonResponse
    {
        [$rows, $leaveOut, $text] = self::read($request);
        if (\count($rows) > Limits::PEOPLE) {
            return new JsonResponse(
                $this->jobs
                    ->start(ImportPeople::NAME, \sprintf('Bring in %d people', \count($rows)), [
                        'text' => $text,
                        'leaveOut' => $leaveOut,
                    ])
                    ->toJson(),
                Response::HTTP_ACCEPTED,
            );
        }

        return new JsonResponse($this->people->import($rows, $leaveOut)->toJson());
    }

    /**
     * @return array{list<PersonRow>, bool, string}
     *
     * @throws InvalidData
     */
    private static function read(Request $request): array
    {
        return JsonBody::read($request, static function (Input $in): array {
            $in->onlyFields(['text', 'leaveOut']);
            $text = $in->field('text')->long(self::MOST_BYTES);

            return ['' === $text ? [] : ImportPeople::rows($text), $in->field('leaveOut')->flag(false), $text];
        });
    }
}
