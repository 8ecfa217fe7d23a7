<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\Site;
use Meandros\Core\Plan\InvalidData;
use Meandros\Core\Time\HoursBook;
use Meandros\Core\Time\Moment;
use Meandros\Core\Time\Zone;
use Meandros\Core\Wording\StateReason;
use Meandros\Server\Storage\NotFound;
use Meandros\Server\Storage\Plans;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** All hours of a plan at one moment, each in its own zone. */
final readonly class HoursController
{
    public function __construct(private Plans $plans, private HoursBook $book)
    {
    }

    /**
     * @throws InvalidData
     * @throws NotFound
     */
    #[Route('/api/plans/{which}/hours', methods: ['GET'])]
    public function states(string $which, Request $request): JsonResponse
    {
        $plan = $this->plans->get($which);
        $asked = $request->query->getString('zone', 'UTC');
        if (!Zone::exists($asked)) {
            throw InvalidData::at('/zone', \sprintf('"%s" is not a time zone.', $asked), \sprintf('Use an IANA name; the closest is %s.', Zone::closestTo($asked)));
        }
        try {
            $instant = Moment::parse($request->query->getString('at'), $asked);
        } catch (\InvalidArgumentException $invalid) {
            throw InvalidData::at('/at', $invalid->getMessage(), 'Choose an existing date and time.');
        }
        $states = [];
        foreach ($plan->all(Hours::class) as $hours) {
            $zone = $plan->get(Site::class, $hours->site)->zone ?? 'UTC';
            $reading = $this->book->read($hours->id(), $hours->timetable($zone), $instant);
            $local = gmdate('Y-m-d\TH:i:s', Zone::over($zone, $instant, $instant)->localOf($instant));
            $states[$hours->id()] = [
                'state' => $reading->state,
                'because' => $reading->decision->toJson(),
                'reason' => ucfirst(StateReason::words($reading, $zone)),
                'since' => null === $reading->since ? null : Moment::format($reading->since, $zone),
                'until' => null === $reading->until ? null : Moment::format($reading->until, $zone),
                'local' => $local,
                'zone' => $zone,
            ];
        }

        return new JsonResponse(['states' => (object) $states]);
    }
}
