<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Call\Caller;
use Meandros\Core\Call\TrialCall;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Element\Site;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\AllNumbers;
use Meandros\Core\Proof\Changed;
use Meandros\Core\Proof\Courses;
use Meandros\Core\Proof\Coverage;
use Meandros\Core\Proof\PlanImpact;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Routing\Router;
use Meandros\Core\Time\CivilDate;
use Meandros\Core\Time\YearPicture;
use Meandros\Core\Time\Zone;
use Meandros\Core\Wording\CourseWords;
use Meandros\Core\Wording\ImpactReport;
use Meandros\Server\Jobs\CoverAllNumbers;
use Meandros\Server\Jobs\Jobs;
use Meandros\Server\Now;
use Meandros\Server\Storage\Editions;
use Meandros\Server\Storage\Live;
use Meandros\Server\Storage\NotFound;
use Meandros\Server\Storage\Plans;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Who or what takes calls over a year, and what the draft changes for callers. */
final readonly class CoverageController
{
    private const FIRST_YEAR = 2000;
    private const LAST_YEAR = 2100;
    /** Seconds after which no further number is looked at while somebody waits. */
    private const WAITED = 3.0;
    private const DAYS = 366;

    public function __construct(
        private Plans $plans,
        private Editions $editions,
        private Router $router,
        private Live $live,
        private Jobs $jobs,
        private Now $now,
    ) {}

    /**
     * @throws InvalidData
     * @throws NotFound
     */
    #[Route('/api/coverage', methods: ['POST'])]
    public function coverage(Request $request): JsonResponse
    {
        [$asked, $year] = $this->read($request);
        $zone = Zone::over($asked->zone, $asked->call->instant, $asked->call->instant);
        $today = CivilDate::ofLocalSecond($zone->localOf($asked->call->instant));
        [$from, $until] = YearPicture::instants($asked->zone, $year);
        $calls = new Courses(
            $asked->plan,
            $asked->call,
            $asked->assumptions,
            $this->live->state($asked->plan, $asked->call->instant),
            $this->router,
        );

        return new JsonResponse(
            CoveragePicture::of(Coverage::over($calls, $from, $until), $asked->plan, $asked->zone, $year, $today),
        );
    }

    /**
     * Looks at the numbers one after the other, in the background.
     *
     * @throws InvalidData
     * @throws NotFound
     */
    #[Route('/api/coverage-board', methods: ['POST'])]
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

    /** What the draft changes for callers from now on, for a year. */
    #[Route('/api/plans/draft/impact', methods: ['GET'])]
    public function impact(): JsonResponse
    {
        $number = $this->editions->live();
        $ids = array_map(static fn(array $one): string => $one['id'], $this->editions->pending()['pending']);
        $begin = microtime(true);
        $from = $this->now->second();
        $until = $from + self::DAYS * CivilDate::SECONDS_PER_DAY;
        $answer = ['numbers' => [], 'looked' => 0, 'left' => 0];
        if (null !== $number && [] !== $ids) {
            [$before, $after] = [$this->editions->plan($number), $this->plans->get('draft')];
            $call = new TrialCall('', Caller::parse('', 'ZZ'), $from);
            $live = fn(Plan $plan) => $this->live->state($plan, $from);
            $impact = new PlanImpact(
                $before,
                $after,
                $ids,
                new AllNumbers($before, $call, $from, $until, live: $live($before)),
                new AllNumbers($after, $call, $from, $until, live: $live($after)),
            );
            [$found, $left] = $impact->find(static fn(): bool => microtime(true) - $begin < self::WAITED);
            $words = new CourseWords($after, $before);
            $answer = [
                'numbers' => array_map(
                    static fn(Changed $one): array => self::changed($one, $after, $words, $from, $until),
                    $found,
                ),
                'looked' => \count($impact->numbers) - $left,
                'left' => $left,
            ];
        }

        return new JsonResponse($answer);
    }

    /** @return array<string, mixed> */
    private static function changed(Changed $changed, Plan $plan, CourseWords $words, int $from, int $until): array
    {
        $zone = $plan->get(Site::class, $changed->number->site)->zone ?? 'UTC';

        return [
            'id' => $changed->number->id(),
            'name' => $changed->number->name(),
            'number' => $changed->number->example(),
            'changes' => ImpactReport::of($changed->changes, $words, $from, $until, $zone),
        ];
    }

    /**
     * @return array{TrialCallRequest, int} and the year
     *
     * @throws InvalidData
     */
    private function read(Request $request): array
    {
        /** @var array{TrialCallRequest, int} $read */
        $read = JsonBody::read(
            $request,
            function (Input $in): array {
                $in->onlyFields(['call', 'year']);

                return [
                    TrialCallRequest::from($in->field('call'), $this->plans),
                    $in->field('year')->whole(self::FIRST_YEAR, self::LAST_YEAR, 'year'),
                ];
            },
            JsonBody::ELEMENT,
        );

        return $read;
    }
}
