<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Numbers\BlockView;
use Meandros\Core\Numbers\NumberImport;
use Meandros\Core\Numbers\NumberOutcome;
use Meandros\Core\Numbers\NumberRow;
use Meandros\Core\Numbers\NumberTable;
use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\OwnNumber;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Limits;
use Meandros\Core\Reading\Problem;
use Meandros\Core\Wording\RowReport;
use Meandros\Server\Storage\Draft;
use Meandros\Server\Storage\NewId;
use Meandros\Server\Storage\NotFound;
use Meandros\Server\Storage\PlannedEdit;
use Meandros\Server\Storage\Plans;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Many numbers at once: changed alike, and as files. */
final readonly class NumbersController
{
    /** Bytes. */
    private const MOST = 4_000_000;
    private const CHANGEABLE = ['target', 'site', 'language', 'tellsCaller'];

    public function __construct(private Plans $plans, private Draft $draft) {}

    /**
     * Changes many numbers alike, as one edit.
     *
     * @throws InvalidData
     */
    #[Route('/api/plans/draft/numbers', defaults: Served::FILE, methods: ['POST'])]
    public function change(Request $request): JsonResponse
    {
        $data = JsonBody::data($request);
        [$ids, $change] = Input::read($data, static function (Input $in): array {
            $in->onlyFields(['ids', 'change']);
            $in->field('change')->onlyFields(self::CHANGEABLE);

            return [
                array_map(static fn(Input $id): string => $id->text(80), $in->field('ids')->items(Limits::ELEMENTS)),
                $in->field('change')->fields(),
            ];
        });

        return new JsonResponse(
            $this->draft->writeAll(static fn(Plan $plan): PlannedEdit => self::changed($plan, $ids, $change))->toJson(),
        );
    }

    /**
     * @param list<string>         $ids
     * @param array<string, mixed> $change
     *
     * @throws InvalidData
     */
    private static function changed(Plan $plan, array $ids, array $change): PlannedEdit
    {
        $numbers = $problems = [];
        foreach ($ids as $i => $id) {
            $number = $plan->get(Number::class, $id);
            if (null === $number) {
                $problems[] = new Problem('/ids/' . $i, 'no-such-number', ['id' => Input::quote($id)]);
            } else {
                $numbers[] = PlanCodec::element($change + $number->toJson());
            }
        }
        if ([] !== $problems) {
            throw new InvalidData($problems);
        }
        $target = \is_string($change['target'] ?? null) ? $plan->find($change['target'])?->name() : null;
        $many = 1 === \count($numbers) ? 'one number' : \count($numbers) . ' numbers';

        return PlannedEdit::of(
            null === $target ? \sprintf('Change %s', $many) : \sprintf('Point %s at %s', $many, $target),
            $numbers,
        );
    }

    /**
     * The numbers of a block, one by one.
     *
     * @throws NotFound
     */
    #[Route('/api/plans/{which}/numbers/{id}/block', methods: ['GET'])]
    public function block(string $which, string $id): JsonResponse
    {
        $plan = $this->plans->get($which);
        $number = $plan->get(Number::class, $id) ?? throw new NotFound('There is no such number in this plan.');

        return new JsonResponse(['numbers' => BlockView::of($plan, $number)]);
    }

    /**
     * The number by which somebody is called straight from outside.
     *
     * @throws NotFound
     */
    #[Route('/api/plans/{which}/people/{id}/own-number', methods: ['GET'])]
    public function own(string $which, string $id): JsonResponse
    {
        $plan = $this->plans->get($which);
        $person = $plan->get(Person::class, $id) ?? throw new NotFound('There is no such person in this plan.');
        $number = OwnNumber::of($plan, $person);

        return new JsonResponse([
            'number' => $number,
            'international' => null === $number ? null : PhoneNumber::international($number),
        ]);
    }

    /** @throws NotFound */
    #[Route('/api/plans/{which}/numbers.csv', defaults: Served::LONG, methods: ['GET'])]
    public function export(string $which): Response
    {
        return new Response(NumberTable::write($this->plans->get($which)), 200, [
            'Content-Type' => 'text/csv; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="numbers.csv"',
        ]);
    }

    /**
     * What a file would do, row by row; nothing is written.
     *
     * @throws InvalidData
     */
    #[Route('/api/plans/draft/numbers/preview', defaults: Served::FILE, methods: ['POST'])]
    public function preview(Request $request): JsonResponse
    {
        [$rows, $makes] = self::read($request);

        $plan = $this->draft->plan();

        return new JsonResponse([
            'rows' => array_map(
                static fn(NumberOutcome $one): array => RowReport::number($one, $plan),
                self::outcomes($plan, $rows, $makes),
            ),
        ]);
    }

    /**
     * Takes a file over as one edit: every row, or with leaveOut those that can be taken.
     *
     * @throws InvalidData
     */
    #[Route('/api/plans/draft/numbers/import', defaults: Served::FILE, methods: ['POST'])]
    public function import(Request $request): JsonResponse
    {
        [$rows, $makes, $leaveOut] = self::read($request);

        return new JsonResponse(
            $this->draft
                ->writeAll(static function (Plan $plan) use ($rows, $makes, $leaveOut): PlannedEdit {
                    $elements = $problems = [];
                    foreach (self::outcomes($plan, $rows, $makes) as $outcome) {
                        foreach ($outcome->problems as $column => $problem) {
                            $problems[] = $problem->inFile('/text', $outcome->row->line, $column);
                        }
                        array_push(
                            $elements,
                            ...array_filter(
                                [$outcome->made, $outcome->unchanged ? null : $outcome->number],
                                static fn(?Element $one): bool => null !== $one,
                            ),
                        );
                    }
                    if ([] !== $problems && !$leaveOut) {
                        throw new InvalidData($problems);
                    }

                    $numbers = \count(array_filter($elements, static fn(Element $one): bool => $one instanceof Number));

                    return PlannedEdit::of(
                        1 === $numbers ? 'Bring in a number' : \sprintf('Bring in %d numbers', $numbers),
                        $elements,
                    );
                })
                ->toJson(),
        );
    }

    /**
     * @param list<NumberRow> $rows
     *
     * @return list<NumberOutcome>
     */
    private static function outcomes(Plan $plan, array $rows, bool $makes): array
    {
        return NumberImport::outcomes($plan, $rows, $makes, NewId::of(...));
    }

    /**
     * @return array{list<NumberRow>, bool, bool} rows, whether journeys are made for targets that there are not, and whether rows may be left out
     *
     * @throws InvalidData
     */
    private static function read(Request $request): array
    {
        return JsonBody::read($request, static function (Input $in): array {
            $in->onlyFields(['text', 'makes', 'leaveOut']);
            $text = $in->field('text')->long(self::MOST);

            return [
                '' === $text ? [] : NumberTable::read($text),
                $in->field('makes')->flag(false),
                $in->field('leaveOut')->flag(false),
            ];
        });
    }
}
