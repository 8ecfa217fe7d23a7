<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\ICalendar\Exporter;
use Meandros\Core\ICalendar\FileReader;
use Meandros\Core\ICalendar\SpecialDayImport;
use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\State;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\PlanHours;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Limits;
use Meandros\Core\Time\Band;
use Meandros\Core\Time\CivilDate;
use Meandros\Core\Time\HoursCompiler;
use Meandros\Core\Time\Moment;
use Meandros\Core\Time\Weekday;
use Meandros\Core\Time\WeekText;
use Meandros\Core\Time\Zone;
use Meandros\Core\Wording\StateReason;
use Meandros\Server\Now;
use Meandros\Server\Storage\Live;
use Meandros\Server\Storage\NotFound;
use Meandros\Server\Storage\Plans;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Hours at a moment, over a year, as they change, as text and as files. */
final readonly class HoursController
{
    private const MOST_CHANGES = 60;
    private const IMPORT_YEARS = 3;

    public function __construct(private Plans $plans, private Live $live, private Now $now) {}

    /**
     * @throws InvalidData
     * @throws NotFound
     */
    #[Route('/api/plans/{which}/hours', methods: ['GET'])]
    public function states(string $which, Request $request): JsonResponse
    {
        $plan = $this->plans->get($which);
        $running = new PlanHours($plan, $this->live->state($plan)->overrides);
        $instant = AskedMoment::of($request);
        $states = [];
        foreach ($plan->all(Hours::class) as $hours) {
            $zone = $running->zone($hours);
            $reading = $running->read($hours, $instant);
            $states[$hours->id()] = [
                'state' => $reading->state,
                'open' => $hours->states->find($reading->state)->open ?? false,
                'because' => $reading->decision->toJson(),
                'reason' => ucfirst(StateReason::words($reading, $zone)),
                'since' => null === $reading->since ? null : Moment::format($reading->since, $zone),
                'until' => null === $reading->until ? null : Moment::format($reading->until, $zone),
                'next' => self::change($running, $hours, $reading->until),
                'at' => Moment::format($instant, $zone),
                'local' => gmdate('Y-m-d\TH:i:s', Zone::around($zone, $instant)->localOf($instant)),
                'zone' => $zone,
            ];
        }

        return new JsonResponse(['states' => (object) $states]);
    }

    /**
     * @throws InvalidData
     * @throws NotFound
     */
    #[Route('/api/plans/{which}/hours/{id}/changes', methods: ['GET'])]
    public function changes(string $which, string $id, Request $request): JsonResponse
    {
        [$plan, $hours] = $this->find($which, $id);
        $running = new PlanHours($plan, $this->live->state($plan)->overrides);
        $most = max(1, min(self::MOST_CHANGES, $request->query->getInt('most', 20)));
        $changes = array_map(
            static fn(array $change): ?array => self::change($running, $hours, $change[0]),
            $running->changes($hours, AskedMoment::of($request), $most),
        );

        return new JsonResponse(['changes' => $changes]);
    }

    /**
     * @throws InvalidData
     * @throws NotFound
     */
    #[Route('/api/plans/{which}/hours/{id}/year', defaults: Served::LONG, methods: ['GET'])]
    public function year(string $which, string $id, Request $request): JsonResponse
    {
        [$plan, $hours] = $this->find($which, $id);
        $year = $request->query->getInt('year');
        if ($year < 1971 || $year > 2200) {
            throw InvalidData::at('/year', 'year-not-drawn');
        }
        $other = $request->query->getString('with');
        $second = '' === $other ? null : $this->find($which, $other)[1];

        return new JsonResponse(
            YearReport::of(new PlanHours($plan, $this->live->state($plan)->overrides), $hours, $year, $second),
        );
    }

    /** @throws NotFound */
    #[Route('/api/plans/{which}/hours/{id}.ics', methods: ['GET'])]
    public function export(string $which, string $id): Response
    {
        [$plan, $hours] = $this->find($which, $id);
        $running = new PlanHours($plan);
        $today = $this->now->day();
        [$first, $last] = [$today * CivilDate::SECONDS_PER_DAY, ($today + 366) * CivilDate::SECONDS_PER_DAY];
        $zone = Zone::over($running->zone($hours), $first, $last);
        [$from, $until] = [$zone->instantOf($first), $zone->instantOf($last)];

        return IcsResponse::of(
            (new Exporter($this->now->second()))->hours(
                $hours,
                HoursCompiler::compile($running->timetable($hours), $from, $until),
                $from,
                $until,
            ),
            $hours->name(),
        );
    }

    /**
     * @throws InvalidData
     * @throws NotFound
     */
    #[Route('/api/plans/draft/hours/{id}/import', defaults: Served::FILE, methods: ['POST'])]
    public function import(string $id, Request $request): JsonResponse
    {
        [$plan, $hours] = $this->find('draft', $id);
        $running = new PlanHours($plan);
        $preview = JsonBody::read($request, function (Input $in) use ($hours, $running): array {
            $in->onlyFields(['ics', 'state']);
            $state = $hours->states->find($in->field('state')->text(64));
            if (null === $state) {
                $in->field('state')->complain('no-such-state', ['hours' => $hours->name()]);
            }
            $until = $this->now->day() + 366 * self::IMPORT_YEARS;
            $file = (new FileReader($running->zone($hours), $until))->read(
                $in->field('ics')->long(FileReader::MOST_BYTES),
            );

            return (new SpecialDayImport($running))
                ->preview($hours, $file, $state->key ?? $hours->states->default)
                ->toJson();
        });

        return new JsonResponse($preview);
    }

    /** @throws InvalidData */
    #[Route('/api/week-text', methods: ['POST'])]
    public function weekText(Request $request): JsonResponse
    {
        $entries = JsonBody::read($request, static function (Input $in): array {
            $in->onlyFields(['text', 'states', 'daysNamed']);
            $states = [];
            foreach ($in->field('states')->items(Limits::STATES) as $item) {
                $state = State::fromJson($item);
                $states[$state->key] = $state->name;
            }
            $text = new WeekText([] === $states ? ['open' => 'Open'] : $states);
            try {
                return $in->field('daysNamed')->flag(true)
                    ? $text->parse($in->field('text')->optionalText(1000))
                    : [['days' => [], 'bands' => $text->bands($in->field('text')->optionalText(1000))]];
            } catch (\InvalidArgumentException $wrong) {
                $in->field('text')->complain('week-not-understood', ['reason' => $wrong->getMessage()]);

                return [];
            }
        });

        return new JsonResponse([
            'entries' => array_map(
                static fn(array $entry): array => [
                    'days' => array_map(static fn(Weekday $day): string => $day->value, $entry['days']),
                    'bands' => array_map(static fn(Band $band): array => $band->toJson(), $entry['bands']),
                ],
                $entries,
            ),
        ]);
    }

    /** @return array{at: string, state: string, reason: string}|null */
    private static function change(PlanHours $running, Hours $hours, ?int $instant): ?array
    {
        if (null === $instant) {
            return null;
        }
        $reading = $running->read($hours, $instant);
        $zone = $running->zone($hours);

        return [
            'at' => Moment::format($instant, $zone),
            'state' => $reading->state,
            'reason' => ucfirst(StateReason::words($reading, $zone)),
        ];
    }

    /**
     * @return array{Plan, Hours}
     *
     * @throws NotFound
     */
    private function find(string $which, string $id): array
    {
        $plan = $this->plans->get($which);

        return [
            $plan,
            $plan->get(Hours::class, $id) ??
            throw new NotFound(\sprintf('There are no hours "%s" in this plan.', Input::quote($id))),
        ];
    }
}
