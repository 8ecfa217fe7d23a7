<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Live\Outlasting;
use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\OverrideEnd;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\PlanHours;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Time\ForcedBy;
use Meandros\Core\Time\Moment;
use Meandros\Core\Wording\When;
use Meandros\Server\Now;
use Meandros\Server\Storage\Entity\HoursOverride;
use Meandros\Server\Storage\NotFound;
use Meandros\Server\Storage\Overrides;
use Meandros\Server\Storage\Plans;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** Hours forced into a state: set, listed and lifted, effective at once on what is live. */
#[Route('/api/overrides')]
final readonly class OverrideController
{
    private const WHO = 'demo';
    private const AT = 'at';

    public function __construct(private Overrides $overrides, private Plans $plans, private Now $now) {}

    #[Route('', methods: ['GET'])]
    public function list(): JsonResponse
    {
        $now = $this->now->second();
        $rows = $this->overrides->all();
        if ([] === $rows) {
            // Every screen asks for this all the time: a large plan is read only where it is wanted.
            return new JsonResponse(['on' => [], 'past' => []]);
        }
        $plan = $this->plans->known();
        $on = $past = [];
        foreach ($rows as $row) {
            $row->isOn($now) ? ($on[] = self::json($row, $plan, $now)) : ($past[] = self::json($row, $plan, $now));
        }

        return new JsonResponse(['on' => $on, 'past' => $past]);
    }

    /** @throws InvalidData */
    #[Route('', methods: ['POST'])]
    public function force(Request $request): JsonResponse
    {
        $now = $this->now->second();
        $plan = $this->plans->known();
        $row = JsonBody::read($request, static function (Input $in) use ($plan, $now): ?HoursOverride {
            $in->onlyFields(['hours', 'state', 'reason', 'ends', 'at']);
            $hours = $plan->get(Hours::class, $in->field('hours')->text(80));
            if (null === $hours) {
                $in->field('hours')->complain('no-such-hours');

                return null;
            }
            $state = $in->field('state')->text(64);
            if (null === $hours->states->find($state)) {
                $in->field('state')->complain('hours-without-state', ['hours' => $hours->name(), 'state' => $state]);
            }
            $ends = $in->field('ends')->text(20);
            $until = self::until($in, $ends, $hours, new PlanHours($plan), $now);

            return new HoursOverride(
                $hours->id(),
                $state,
                new ForcedBy(self::WHO, $in->field('reason')->text(200)),
                $ends,
                $until,
                $now,
            );
        });
        \assert(null !== $row);

        return new JsonResponse(self::json($this->overrides->force($row), $plan, $now), 201);
    }

    /** @throws NotFound */
    #[Route('/{id}/lift', requirements: ['id' => '\d{1,15}'], methods: ['POST'])]
    public function lift(int $id, Request $request): JsonResponse
    {
        JsonBody::nothing($request);
        $now = $this->now->second();

        return new JsonResponse(self::json($this->overrides->lift($id, self::WHO, $now), $this->plans->known(), $now));
    }

    private static function until(Input $in, string $ends, Hours $hours, PlanHours $running, int $now): ?int
    {
        if (self::AT === $ends) {
            try {
                $until = Moment::parse($in->field('at')->text(40), $running->zone($hours));
            } catch (\InvalidArgumentException $invalid) {
                $in->field('at')->complain('no-such-moment', ['reason' => $invalid->getMessage()]);

                return null;
            }
            if ($until <= $now) {
                $in->field('at')->complain('end-has-passed', [
                    'end' => When::instant($until, $running->zone($hours)),
                    'now' => When::instant($now, $running->zone($hours)),
                ]);
            }

            return $until;
        }
        if (OverrideEnd::NextChange->value === $ends) {
            $until = $running->read($hours, $now)->until;
            if (null === $until) {
                $in->field('ends')->complain('no-change-in-sight');
            }

            return $until;
        }
        if (OverrideEnd::Lifted->value !== $ends) {
            $in->field('ends')->complain('end-missing', [
                'at' => self::AT,
                'change' => OverrideEnd::NextChange->value,
                'lifted' => OverrideEnd::Lifted->value,
            ]);
        }

        return null;
    }

    /** @return array<string, mixed> */
    private static function json(HoursOverride $row, Plan $plan, int $now): array
    {
        $hours = $plan->get(Hours::class, $row->hours);
        $running = new PlanHours($plan);
        $zone = null === $hours ? 'UTC' : $running->zone($hours);
        $outlasts =
            null !== $hours && $row->isOn($now)
                ? (new Outlasting($running))->opening($hours, $row->toOverride(), $now)
                : null;
        $moment = static fn(?int $instant): ?string => null === $instant ? null : Moment::format($instant, $zone);

        return [
            'id' => $row->id,
            'hours' => $row->hours,
            'hoursName' => $hours?->name() ?? $row->hours,
            'state' => $row->state,
            'stateName' => $hours?->states->find($row->state)->name ?? $row->state,
            'open' => $hours?->states->find($row->state)->open ?? false,
            'reason' => $row->reason,
            'who' => $row->who,
            'zone' => $zone,
            'setAt' => $moment($row->setAt),
            'ends' => $row->ends,
            'until' => $moment($row->until),
            'liftedAt' => $moment($row->liftedAt),
            'liftedBy' => $row->liftedBy,
            'outlasts' => $moment($outlasts),
        ];
    }
}
