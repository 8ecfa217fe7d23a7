<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Call\Status;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Time\Moment;
use Meandros\Core\Wording\When;
use Meandros\Server\Now;
use Meandros\Server\Storage\Entity\PersonStatus;
use Meandros\Server\Storage\NotFound;
use Meandros\Server\Storage\Plans;
use Meandros\Server\Storage\Statuses;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** Statuses of people: live state, effective at once. */
#[Route('/api/statuses')]
final readonly class StatusController
{
    private const WHO = 'demo';

    public function __construct(private Statuses $statuses, private Plans $plans, private Now $now) {}

    #[Route('', methods: ['GET'])]
    public function list(): JsonResponse
    {
        $rows = $this->statuses->all($this->now->second());
        $plan = [] === $rows ? null : $this->plans->get('draft');

        return new JsonResponse([
            'statuses' => array_map(
                static fn(PersonStatus $row): array => self::json($row, self::zone($plan, $row->person)),
                $rows,
            ),
        ]);
    }

    /**
     * @throws InvalidData
     * @throws NotFound
     */
    #[Route('/{person}', methods: ['PUT'])]
    public function set(string $person, Request $request): JsonResponse
    {
        $plan = $this->plans->get('draft');
        if (null === $plan->get(Person::class, $person)) {
            throw new NotFound(\sprintf('There is nobody "%s" in the plan.', Input::quote($person)));
        }
        $zone = self::zone($plan, $person);
        $now = $this->now->second();
        [$status, $until] = JsonBody::read($request, static function (Input $in) use ($zone, $now): array {
            $in->onlyFields(['status', 'until']);
            /** @var Status $status */
            $status = $in->field('status')->oneOf(Status::class, Status::Available);
            $until = $in->field('until')->isGiven() ? self::moment($in->field('until'), $zone, $now) : null;

            return [$status, $until];
        });

        return new JsonResponse(self::json($this->statuses->set($person, $status, $until, self::WHO, $now), $zone));
    }

    private static function moment(Input $in, string $zone, int $now): ?int
    {
        try {
            $until = Moment::parse($in->text(40), $zone);
        } catch (\InvalidArgumentException $invalid) {
            $in->complain('no-such-moment', ['reason' => $invalid->getMessage()]);

            return null;
        }
        if ($until <= $now) {
            $in->complain('status-end-has-passed', ['end' => When::instant($until, $zone)]);
        }

        return $until;
    }

    private static function zone(?Plan $plan, string $person): string
    {
        return $plan?->zoneOf($plan->get(Person::class, $person)?->site) ?? 'UTC';
    }

    /** @return array<string, mixed> */
    private static function json(PersonStatus $row, string $zone): array
    {
        return [
            'person' => $row->person,
            'status' => $row->status->value,
            'until' => null === $row->until ? null : Moment::format($row->until, $zone),
            'setAt' => Moment::format($row->setAt, $zone),
            'who' => $row->who,
        ];
    }
}
