<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\People\PeopleCards;
use Meandros\Core\People\PeopleImport;
use Meandros\Core\People\PeopleTable;
use Meandros\Core\People\PersonOutcome;
use Meandros\Core\People\PersonRow;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Problem;
use Meandros\Server\Storage\Draft;
use Meandros\Server\Storage\NotFound;
use Meandros\Server\Storage\PlannedEdit;
use Meandros\Server\Storage\Plans;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** People as files: comma-separated values and vCards, in and out. */
final readonly class PeopleController
{
    private const MOST_BYTES = 8_000_000;

    public function __construct(private Plans $plans, private Draft $draft)
    {
    }

    /** @throws NotFound */
    #[Route('/api/plans/{which}/people.{format}', requirements: ['format' => 'csv|vcf'], methods: ['GET'])]
    public function export(string $which, string $format): Response
    {
        $plan = $this->plans->get($which);

        return new Response('csv' === $format ? PeopleTable::write($plan) : PeopleCards::write($plan), 200, [
            'Content-Type' => 'csv' === $format ? 'text/csv; charset=utf-8' : 'text/vcard; charset=utf-8',
            'Content-Disposition' => \sprintf('attachment; filename="people.%s"', $format),
        ]);
    }

    /**
     * What a file would do, row by row; nothing is written.
     *
     * @throws InvalidData
     */
    #[Route('/api/plans/draft/people/preview', methods: ['POST'])]
    public function preview(Request $request): JsonResponse
    {
        [$rows] = self::read($request);
        $outcomes = self::outcomes($this->draft->plan(), $rows);

        return new JsonResponse(['rows' => array_map(static fn (PersonOutcome $one): array => $one->toJson(), $outcomes)]);
    }

    /**
     * Takes a file over as one edit: every row, or with leaveOut those that can be taken.
     *
     * @throws InvalidData
     */
    #[Route('/api/plans/draft/people', methods: ['POST'])]
    public function import(Request $request): JsonResponse
    {
        [$rows, $leaveOut] = self::read($request);

        return new JsonResponse($this->draft->writeAll(static function (Plan $plan) use ($rows, $leaveOut): PlannedEdit {
            $people = $problems = [];
            foreach (self::outcomes($plan, $rows) as $outcome) {
                foreach ($outcome->problems as $column => $problem) {
                    $problems[] = new Problem('/text', \sprintf('Line %d, %s: %s', $outcome->row->line, $column, $problem), 'Mend it in the file, or leave such lines out.');
                }
                if (null !== $outcome->person && !$outcome->unchanged) {
                    $people[] = $outcome->person;
                }
            }
            if ([] !== $problems && !$leaveOut) {
                throw new InvalidData($problems);
            }

            return PlannedEdit::of(\sprintf('Bring in %d people', \count($people)), $people);
        })->toJson());
    }

    /**
     * @return array{list<PersonRow>, bool}
     *
     * @throws InvalidData
     */
    private static function read(Request $request): array
    {
        return JsonBody::read($request, static function (Input $in): array {
            $in->onlyFields(['text', 'leaveOut']);
            $text = $in->field('text')->long(self::MOST_BYTES);
            $cards = 1 === preg_match('/^\x{FEFF}?\s*BEGIN:VCARD/iu', $text);

            return ['' === $text ? [] : ($cards ? PeopleCards::read($text) : PeopleTable::read($text)), $in->field('leaveOut')->flag(false)];
        }, JsonBody::FILE);
    }

    /**
     * @param list<PersonRow> $rows
     *
     * @return list<PersonOutcome>
     */
    private static function outcomes(Plan $plan, array $rows): array
    {
        return PeopleImport::outcomes($plan, $rows, static fn (): string => Kind::Person->prefix().'_'.bin2hex(random_bytes(6)));
    }
}
