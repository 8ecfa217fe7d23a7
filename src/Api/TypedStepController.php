<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Typing\StepLines;
use Meandros\Server\Storage\NotFound;
use Meandros\Server\Storage\Plans;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** Steps as people type them. Nothing is written. */
final readonly class TypedStepController
{
    public function __construct(private Plans $plans) {}

    /**
     * @throws InvalidData
     * @throws NotFound
     */
    #[Route('/api/typed-steps', methods: ['POST'])]
    public function read(Request $request): JsonResponse
    {
        [$text, $country] = JsonBody::read($request, static function (Input $in): array {
            $in->onlyFields(['text', 'country']);
            $country = strtoupper($in->field('country')->text(2));
            PhoneNumber::knowsCountry($country) ||
                $in->field('country')->complain('not-a-country', ['country' => Input::quote($country)]);

            return [$in->field('text')->optionalText(500), $country];
        });
        $typed = StepLines::read($text, $this->plans->get('draft'), $country);

        return new JsonResponse([
            'step' => $typed->step,
            'made' => $typed->made,
            'problem' => $typed->problem,
            'at' => $typed->at,
            'offers' => $typed->offers,
        ]);
    }
}
