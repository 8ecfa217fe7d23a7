<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Plan\InvalidData;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** Numbers as people type them, understood while they are being typed. */
final readonly class PhoneNumberController
{
    /** @throws InvalidData */
    #[Route('/api/phone-numbers', methods: ['GET'])]
    public function parse(Request $request): JsonResponse
    {
        $country = strtoupper($request->query->getString('country', 'ZZ'));
        if ('ZZ' !== $country && !PhoneNumber::knowsCountry($country)) {
            throw InvalidData::at('/country', \sprintf('"%s" is not a country.', $country), 'Use a two-letter code such as GB or FR.');
        }
        $text = $request->query->getString('text');
        try {
            $number = PhoneNumber::parse(mb_substr($text, 0, 60), $country);
        } catch (InvalidData $invalid) {
            throw InvalidData::at('/text', $invalid->problems[0]->message, $invalid->problems[0]->remedy);
        }

        return new JsonResponse(['number' => $number, 'international' => PhoneNumber::international($number)]);
    }
}
