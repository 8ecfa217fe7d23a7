<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Plan\Worded;
use Meandros\Core\Reading\InvalidData;
use Meandros\Server\Storage\WordedPlaces;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** Where words stand in the draft. */
final readonly class WordedController
{
    private const LEAST = 3;
    private const MOST = 100;

    public function __construct(private WordedPlaces $places) {}

    /** @throws InvalidData */
    #[Route('/api/plans/draft/worded', methods: ['GET'])]
    public function find(Request $request): JsonResponse
    {
        $words = $request->query->getString('words');
        if (mb_strlen($words) > self::MOST) {
            throw InvalidData::at('/words', 'too-long', ['most' => self::MOST]);
        }
        if (mb_strlen(Worded::plain($words)) < self::LEAST) {
            throw InvalidData::at('/words', 'too-short', ['least' => self::LEAST]);
        }
        [$places, $more] = $this->places->of($words);

        return new JsonResponse(['places' => $places, 'more' => $more]);
    }
}
