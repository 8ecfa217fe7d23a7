<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Map\Box;
use Meandros\Core\Map\JourneyMap;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Routing\Router;
use Meandros\Core\Routing\Visit;
use Meandros\Server\Storage\Live;
use Meandros\Server\Storage\NotFound;
use Meandros\Server\Storage\Plans;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** A journey as a picture, with the way of a trial call. */
final readonly class JourneyMapController
{
    public function __construct(private Plans $plans, private Router $router, private Live $live) {}

    /**
     * @throws InvalidData
     * @throws NotFound
     */
    #[Route('/api/journey-maps', methods: ['POST'])]
    public function draw(Request $request): JsonResponse
    {
        [$asked, $id] = JsonBody::read(
            $request,
            function (Input $in): array {
                $in->onlyFields(['call', 'journey']);

                return [TrialCallRequest::from($in->field('call'), $this->plans), $in->field('journey')->text(80)];
            },
            JsonBody::ELEMENT,
        );
        $journey =
            $asked->plan->get(Journey::class, $id) ??
            throw new NotFound(\sprintf('There is no journey "%s" in the plan.', Input::quote($id)));
        $trace = $this->router->trace(
            $asked->plan,
            $asked->call,
            $asked->assumptions,
            $this->live->state($asked->plan, $asked->call->instant),
        );
        $map = JourneyMap::of($journey, $asked->plan);
        $json = static fn(Box $box): array => $box->toJson();

        return new JsonResponse([
            'width' => $map->width(),
            'height' => $map->height(),
            'boxes' => array_values(array_map($json, $map->boxes())),
            'labels' => array_values(array_map($json, $map->labels())),
            'lines' => $map->lines(),
            'course' => $map->course(
                array_values(array_filter($trace->visits, static fn(Visit $visit): bool => $visit->journey === $id)),
            ),
        ]);
    }
}
