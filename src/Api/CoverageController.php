<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Call\Caller;
use Meandros\Core\Call\TrialCall;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Queue;
use Meandros\Core\Plan\Element\Site;
use Meandros\Core\Plan\Element\Team;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\AllNumbers;
use Meandros\Core\Proof\Courses;
use Meandros\Core\Proof\Coverage;
use Meandros\Core\Proof\EachNumber;
use Meandros\Core\Proof\LookedUp;
use Meandros\Core\Proof\Rung;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Routing\Router;
use Meandros\Core\Time\CivilDate;
use Meandros\Core\Time\YearPicture;
use Meandros\Core\Time\Zone;
use Meandros\Server\Jobs\CoverAllNumbers;
use Meandros\Server\Jobs\Jobs;
use Meandros\Server\Now;
use Meandros\Server\Paper\PaperPage;
use Meandros\Server\Paper\Pdf;
use Meandros\Server\Patience;
use Meandros\Server\Storage\Live;
use Meandros\Server\Storage\NotFound;
use Meandros\Server\Storage\Plans;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Who or what takes calls over a year. */
final readonly class CoverageController
{
    private const FIRST_YEAR = 2000;
    private const LAST_YEAR = 2100;
    /** Seconds after which no further number is looked at while somebody waits. */
    private const WAITED = 3.0;

    public function __construct(
        private Plans $plans,
        private Router $router,
        private Live $live,
        private Jobs $jobs,
        private Now $now,
        private Patience $patience,
        private Pdf $pdf,
    ) {}

    /**
     * @throws InvalidData
     * @throws NotFound
     */
    #[Route('/api/coverage', defaults: Served::PROOF + Served::ELEMENT, methods: ['POST'])]
    public function coverage(Request $request): JsonResponse
    {
        [$asked, $year] = $this->read($request);
        $zone = Zone::around($asked->zone, $asked->call->instant);
        $today = CivilDate::ofLocalSecond($zone->localOf($asked->call->instant));
        [$from, $until] = YearPicture::instants($asked->zone, $year);
        $calls = new Courses(
            $asked->plan,
            $asked->call,
            $asked->assumptions,
            $asked->inForce($this->live),
            $this->router,
        );

        return new JsonResponse(
            CoveragePicture::of(
                Coverage::over($calls, $from, $until),
                new LookedUp($calls->hours, $from, $until),
                $asked->plan,
                $asked->zone,
                $year,
                $today,
            ),
        );
    }

    /**
     * Looks at the numbers one after the other, in the background.
     *
     * @throws InvalidData
     * @throws NotFound
     */
    #[Route('/api/coverage-board', defaults: Served::ELEMENT, methods: ['POST'])]
    public function board(Request $request): JsonResponse
    {
        [$asked, $year] = $this->read($request);
        $job = $this->jobs->start(CoverAllNumbers::NAME, \sprintf('Look at all numbers over %d', $year), [
            'in' => $asked->which,
            'year' => $year,
            'from' => $asked->call->caller->text,
        ]);

        return new JsonResponse($job->toJson(), Response::HTTP_ACCEPTED);
    }

    /**
     * When a person's phones ring over a year, or a team's or a queue's, and by which numbers.
     *
     * @throws NotFound
     * @throws InvalidData
     */
    #[Route('/api/plans/{which}/rung/{id}', defaults: Served::PROOF, methods: ['GET'])]
    public function rung(string $which, string $id, Request $request): JsonResponse
    {
        $plan = $this->plans->get($which);
        $who = $plan->find($id);
        if (!($who instanceof Person || $who instanceof Team || $who instanceof Queue)) {
            throw new NotFound('There is no such person, team or queue in this plan.');
        }
        $year = self::year($request);
        $site = $who instanceof Person ? $plan->get(Site::class, $who->site) : null;
        $zone = ($site ?? ($plan->all(Site::class)[0] ?? null))->place->zone ?? 'UTC';
        [$from, $until] = YearPicture::instants($zone, $year);
        $all = $this->all($plan, $from, $until);
        [$found, $left] = Rung::find($plan, $id, $all, $this->patience->for(self::WAITED));
        $lookedUp = $this->lookedUp($plan, $from, $until);

        return new JsonResponse(RungPicture::of($found, $all, $lookedUp, $plan, $zone, $year) + ['left' => $left]);
    }

    /**
     * The coverage of a number over a year, to take away: as a table, as a calendar of who is on, or to print.
     *
     * @throws NotFound
     * @throws InvalidData
     */
    #[
        Route(
            '/api/plans/{which}/numbers/{id}/coverage.{format}',
            requirements: ['format' => 'csv|ics|html|pdf'],
            defaults: Served::PROOF,
            methods: ['GET'],
        ),
    ]
    public function file(string $which, string $id, string $format, Request $request): Response
    {
        $plan = $this->plans->get($which);
        $number = $plan->get(Number::class, $id) ?? throw new NotFound('There is no such number in this plan.');
        // Of a block the first one, which the bar calls.
        $number = EachNumber::in($plan, $number->range->example()) ?? $number;
        $year = self::year($request);
        $zone = $plan->zoneOf($number->line->site);
        [$from, $until] = YearPicture::instants($zone, $year);
        $coverage = $this->all($plan, $from, $until)->of($number);
        $lookedUp = $this->lookedUp($plan, $from, $until);
        $files = new CoverageFiles($plan, $number, $coverage, $lookedUp, $zone, $this->now->second());

        return match ($format) {
            'csv' => new Response($files->table(), 200, [
                'Content-Type' => 'text/csv; charset=utf-8',
                'Content-Disposition' => 'attachment; filename="coverage.csv"',
            ]),
            'ics' => IcsResponse::of($files->calendar(), $number->name()),
            'html' => new Response(PaperPage::html($files->paper($year)), 200, [
                'Content-Type' => 'text/html; charset=utf-8',
            ]),
            default => new Response($this->pdf->of(PaperPage::html($files->paper($year))), 200, [
                'Content-Type' => 'application/pdf',
                'Content-Disposition' => 'attachment; filename="coverage.pdf"',
            ]),
        };
    }

    /** @throws InvalidData */
    private static function year(Request $request): int
    {
        $text = $request->query->getString('year');
        $year = 1 === preg_match('/^\d{4}$/D', $text) ? (int) $text : 0;

        return $year >= self::FIRST_YEAR && $year <= self::LAST_YEAR
            ? $year
            : throw InvalidData::at('/year', 'not-whole', [
                'unit' => 'year',
                'least' => self::FIRST_YEAR,
                'most' => self::LAST_YEAR,
            ]);
    }

    private function lookedUp(Plan $plan, int $from, int $until): LookedUp
    {
        $overrides = $this->live->state($plan, $this->now->second())->overrides;

        return new LookedUp($this->router->hoursOf($plan, $overrides), $from, $until);
    }

    private function all(Plan $plan, int $from, int $until): AllNumbers
    {
        $call = new TrialCall('', Caller::withheld(), $from);

        return new AllNumbers($plan, $call, $from, $until, live: $this->live->state($plan, $this->now->second()));
    }

    /**
     * @return array{TrialCallRequest, int} and the year
     *
     * @throws InvalidData
     */
    private function read(Request $request): array
    {
        /** @var array{TrialCallRequest, int} $read */
        $read = JsonBody::read($request, function (Input $in): array {
            $in->onlyFields(['call', 'year']);

            return [
                TrialCallRequest::from($in->field('call'), $this->plans),
                $in->field('year')->whole(self::FIRST_YEAR, self::LAST_YEAR, 'year'),
            ];
        });

        return $read;
    }
}
