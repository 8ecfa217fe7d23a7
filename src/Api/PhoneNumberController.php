<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Call\PhoneNumber;
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
        $country = strtoupper($request->query->getString('country', 'ZZ'));
        if ('ZZ' !== $country && !PhoneNumber::knowsCountry($country)) {
            throw InvalidData::at('/country', 'not-a-country', ['country' => Input::quote($country)]);
        }
        $text = $request->query->getString('text');
        try {
            $number = str_ends_with($text, '*')
                ? PhoneNumber::beginning((string) preg_replace('/[^0-9+]/', '', $text), $country) . '*'
                : PhoneNumber::parse(mb_substr($text, 0, 60), $country);
        } catch (InvalidData $invalid) {
            throw new InvalidData([$invalid->problems[0]->under('/text')]);
        }

        $answer = ['number' => $number, 'international' => PhoneNumber::international($number)];
        if ($request->query->has('site')) {
            $lines = new Lines($this->draft->plan());
            $answer['leaves'] = $lines->departure($number, $request->query->getString('site'))?->toJson();
        }

        return new JsonResponse($answer);
    }
}
