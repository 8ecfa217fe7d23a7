<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Callers\CallerLines;
use Meandros\Core\Plan\Element\CallerEntry;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Problem;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** Callers as they are pasted, line by line: what would be brought in, and what would not. Nothing is written. */
final readonly class CallerLinesController
{
    /** Bytes. */
    private const MOST = 1_000_000;

    /** @throws InvalidData */
    #[Route('/api/caller-lines', methods: ['POST'])]
    public function read(Request $request): JsonResponse
    {
        [$entries, $problems] = JsonBody::read($request, static function (Input $in): array {
            $in->onlyFields(['text', 'country']);
            $country = strtoupper($in->field('country')->text(2));
            PhoneNumber::knowsCountry($country) || $in->field('country')->complain(\sprintf('"%s" is not a country.', Input::quote($country)), 'Use a two-letter code such as GB or FR.');

            return CallerLines::read($in->field('text')->long(self::MOST), $country);
        }, JsonBody::FILE);

        return new JsonResponse([
            'entries' => array_map(static fn (CallerEntry $entry): array => $entry->toJson(), $entries),
            'problems' => array_map(static fn (Problem $problem): array => ['line' => (int) substr($problem->pointer, 1), 'detail' => $problem->message, 'remedy' => $problem->remedy], $problems),
        ]);
    }
}
