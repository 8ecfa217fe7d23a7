<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Numbers\TypedNumber;
use Meandros\Core\Outside\Lines;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Server\Storage\Draft;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** Numbers as people type them, understood while they are being typed, and how calls to them would leave. */
final readonly class PhoneNumberController
{
    public function __construct(private Draft $draft) {}

    /** @throws InvalidData */
    #[Route('/api/phone-numbers', methods: ['GET'])]
    public function parse(Request $request): JsonResponse
    {
        $countries = array_values(array_filter(explode(',', strtoupper($request->query->getString('country')))));
        foreach ($countries as $country) {
            if (!PhoneNumber::knowsCountry($country)) {
                throw InvalidData::at('/country', 'not-a-country', ['country' => Input::quote($country)]);
            }
        }
        try {
            $typed = TypedNumber::in($countries, mb_substr($request->query->getString('text'), 0, 60));
        } catch (InvalidData $invalid) {
            throw $invalid->under('/text');
        }

        $answer = [
            'number' => $typed->number,
            'international' => PhoneNumber::international($typed->number),
            'country' => $typed->country,
        ];
        if ($request->query->has('site')) {
            $lines = new Lines($this->draft->plan());
            $answer['leaves'] = $lines->departure($typed->number, $request->query->getString('site'))?->toJson();
        }

        return new JsonResponse($answer);
    }
}
