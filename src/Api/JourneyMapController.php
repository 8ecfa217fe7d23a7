<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Map\JourneyMap;
use Meandros\Core\Map\MapSvg;
use Meandros\Core\Plan\Behind;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Routing\Router;
use Meandros\Core\Routing\Visit;
use Meandros\Server\Paper\MapPage;
use Meandros\Server\Paper\Pdf;
use Meandros\Server\Storage\Live;
use Meandros\Server\Storage\NotFound;
use Meandros\Server\Storage\Plans;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** A journey, or all that are behind a number, as pictures with the way of a trial call. */
final readonly class JourneyMapController
{
    public function __construct(private Plans $plans, private Router $router, private Live $live, private Pdf $pdf) {}

    /**
     * @throws InvalidData
     * @throws NotFound
     */
    #[Route('/api/journey-maps', defaults: Served::ELEMENT, methods: ['POST'])]
    public function draw(Request $request): JsonResponse
    {
        return new JsonResponse(['maps' => $this->maps($request)]);
    }

    /**
     * @throws InvalidData
     * @throws NotFound
     */
    #[Route('/api/journey-maps.pdf', defaults: Served::LONG + Served::ELEMENT, methods: ['POST'])]
    public function print(Request $request): Response
    {
        return new Response($this->pdf->of(MapPage::html($this->maps($request)), 'landscape'), 200, [
            'Content-Type' => 'application/pdf',
            'Content-Disposition' => 'attachment; filename="map.pdf"',
        ]);
    }

    /** @return list<array{journey: string, name: string, svg: string, isPassed: bool}> in the order in which the call comes through them, then by name */
    private function maps(Request $request): array
    {
        [$asked, $id] = JsonBody::read($request, function (Input $in): array {
            $in->onlyFields(['call', 'of']);

            return [TrialCallRequest::from($in->field('call'), $this->plans), $in->field('of')->text(80)];
        });
        $trace = $this->router->trace($asked->plan, $asked->call, $asked->assumptions, $asked->inForce($this->live));
        $way = array_flip(
            array_values(
                array_unique(array_map(static fn(Visit $visit): string => $visit->journey, $trace->passage->visits)),
            ),
        );
        $maps = [];
        foreach (self::journeys($asked->plan, $id) as $journey) {
            $map = JourneyMap::of($journey, $asked->plan);
            $visits = array_values(
                array_filter(
                    $trace->passage->visits,
                    static fn(Visit $visit): bool => $visit->journey === $journey->id(),
                ),
            );
            $maps[] = [
                'journey' => $journey->id(),
                'name' => $journey->name(),
                'svg' => MapSvg::draw($map, $map->course($visits), $journey->name()),
                'isPassed' => [] !== $visits,
            ];
        }
        usort(
            $maps,
            static fn(array $a, array $b): int => [$way[$a['journey']] ?? \PHP_INT_MAX, $a['name']] <=> [
                $way[$b['journey']] ?? \PHP_INT_MAX,
                $b['name'],
            ],
        );

        return $maps;
    }

    /**
     * @return list<Journey>
     *
     * @throws NotFound
     */
    private static function journeys(Plan $plan, string $id): array
    {
        $element = $plan->find($id);

        return match (true) {
            $element instanceof Journey => [$element],
            $element instanceof Number => Behind::of($plan, $element)->all(Journey::class),
            default => throw new NotFound(
                \sprintf('There is no journey and no number "%s" in the plan.', Input::quote($id)),
            ),
        };
    }
}
