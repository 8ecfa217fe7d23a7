<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Plan\Element\RingCadence;
use Meandros\Core\Time\Zone;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\Routing\Attribute\Route;

/** Countries in which a site may be: which clocks are kept there, and how long a ring is. */
final readonly class CountryController
{
    #[Route('/api/countries', methods: ['GET'])]
    public function all(): JsonResponse
    {
        $cadences = RingCadence::countries();
        $countries = [];
        foreach (PhoneNumber::countries() as $code) {
            $countries[$code] = ['zones' => Zone::ofCountry($code), 'cadence' => $cadences[$code] ?? null];
        }

        return new JsonResponse(['countries' => $countries, 'usualCadence' => RingCadence::usual()]);
    }
}
