<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\ICalendar\Exporter;
use Meandros\Core\ICalendar\FileReader;
use Meandros\Core\ICalendar\HolidayImport;
use Meandros\Core\Plan\Element\About;
use Meandros\Core\Plan\Element\HolidayCalendar;
use Meandros\Core\Plan\Json\ZoneReader;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\ReadyMadeCalendar;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Time\CivilDate;
use Meandros\Core\Time\Holiday\Holiday;
use Meandros\Core\Time\Holiday\Holidays;
use Meandros\Core\Time\Holiday\Occasion;
use Meandros\Core\Time\TimeOfDay;
use Meandros\Core\Wording\HolidayWords;
use Meandros\Server\Now;
use Meandros\Server\Storage\Draft;
use Meandros\Server\Storage\NewId;
use Meandros\Server\Storage\NotFound;
use Meandros\Server\Storage\Plans;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Holiday calendars: ready-made ones, what they bring, and calendar files in and out. */
final readonly class CalendarController
{
    private const AHEAD_MONTHS = 24;
    private const EXPORT_YEARS = 5;
    private const IMPORT_YEARS = 10;

    public function __construct(private Plans $plans, private Draft $draft, private Now $now) {}

    #[Route('/api/ready-made-calendars', methods: ['GET'])]
    public function readyMade(): JsonResponse
    {
        return new JsonResponse([
            'calendars' => array_map(
                static fn(ReadyMadeCalendar $one): array => [
                    'key' => $one->key,
                    'name' => $one->name,
                    'country' => $one->country,
                    'source' => $one->source,
                ],
                ReadyMadeCalendar::all(),
            ),
        ]);
    }

    /**
     * Adds a ready-made calendar to the draft, without the dated entries that are over.
     *
     * @throws InvalidData
     */
    #[Route('/api/plans/draft/calendars', methods: ['POST'])]
    public function add(Request $request): JsonResponse
    {
        $ready = JsonBody::read($request, static function (Input $in): ?ReadyMadeCalendar {
            $in->onlyFields(['readyMade']);
            $found = ReadyMadeCalendar::find($in->field('readyMade')->text(40));
            if (null === $found) {
                $in->field('readyMade')->complain('no-such-ready-made');
            }

            return $found;
        });
        \assert(null !== $ready);
        $today = $this->now->day();
        $entries = array_values(
            array_filter($ready->holidays->entries, static fn(Holiday $one): bool => !$one->isOver($today)),
        );
        $id = NewId::of(Kind::Calendar);
        $change = $this->draft->add(
            new HolidayCalendar(new About($id, 'Holidays: ' . $ready->name), new Holidays($entries)),
        );

        return new JsonResponse(['id' => $id] + $change->toJson(), 201, ['ETag' => Revision::tag($change->revision)]);
    }

    /**
     * @throws InvalidData
     * @throws NotFound
     */
    #[Route('/api/plans/{which}/calendars/{id}/dates', methods: ['GET'])]
    public function dates(string $which, string $id, Request $request): JsonResponse
    {
        $calendar = $this->find($which, $id);
        $from = CivilDate::parse($request->query->getString('from'));
        if (null === $from) {
            throw InvalidData::at('/from', 'not-a-date');
        }
        $until = intdiv(
            (int) gmmktime(
                0,
                0,
                0,
                (int) gmdate('n', $from * 86400) + self::AHEAD_MONTHS,
                (int) gmdate('j', $from * 86400),
                CivilDate::year($from),
            ),
            CivilDate::SECONDS_PER_DAY,
        );
        $rules = $passed = [];
        foreach ($calendar->holidays->entries as $holiday) {
            $rules[$holiday->id] = HolidayWords::rule($holiday);
            if ($holiday->isOver($from)) {
                $passed[] = $holiday->id;
            }
        }

        return new JsonResponse([
            'dates' => array_map(
                static fn(Occasion $occasion): array => [
                    'date' => CivilDate::format($occasion->day),
                    'name' => $occasion->name(),
                    'holiday' => $occasion->holiday->id,
                    'part' => $occasion->holiday->part->isWholeDay()
                        ? null
                        : TimeOfDay::format($occasion->holiday->part->fromSeconds) .
                            '–' .
                            TimeOfDay::format($occasion->holiday->part->toSeconds),
                ],
                $calendar->holidays->between($from, $until),
            ),
            'rules' => (object) $rules,
            'passed' => $passed,
        ]);
    }

    /** @throws NotFound */
    #[Route('/api/plans/{which}/calendars/{id}.ics', methods: ['GET'])]
    public function export(string $which, string $id): Response
    {
        $calendar = $this->find($which, $id);
        $year = CivilDate::year($this->now->day());

        return IcsResponse::of(
            (new Exporter($this->now->second()))->holidays(
                $calendar,
                CivilDate::of($year, 1, 1),
                CivilDate::of($year + self::EXPORT_YEARS, 1, 1),
            ),
            $calendar->name(),
        );
    }

    /**
     * What an import would do. Nothing is written: the element of the answer is saved like any other.
     *
     * @throws InvalidData
     * @throws NotFound
     */
    #[Route('/api/plans/draft/calendars/{id}/import', defaults: Served::FILE, methods: ['POST'])]
    public function import(string $id, Request $request): JsonResponse
    {
        $calendar = $this->find('draft', $id);
        $preview = JsonBody::read($request, function (Input $in) use ($calendar): array {
            $in->onlyFields(['ics', 'zone']);
            $zone = ZoneReader::read($in->field('zone'));
            $until = CivilDate::of(CivilDate::year($this->now->day()) + self::IMPORT_YEARS, 1, 1);

            return HolidayImport::preview(
                $calendar,
                (new FileReader($zone, $until))->read($in->field('ics')->long(FileReader::MOST_BYTES)),
            )->toJson();
        });

        return new JsonResponse($preview);
    }

    /** @throws NotFound */
    private function find(string $which, string $id): HolidayCalendar
    {
        return $this->plans->get($which)->get(HolidayCalendar::class, $id) ??
            throw new NotFound(\sprintf('There is no holiday calendar "%s" in this plan.', Input::quote($id)));
    }
}
