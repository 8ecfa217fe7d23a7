<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Reading\InvalidData;
use Symfony\Component\HttpFoundation\Request;

/** Which part of a list is asked for, in the query: at most so many, before the one of that number. */
final class Page
{
    private const MOST = 100;

    /**
     * @return array{int, int|null}
     *
     * @throws InvalidData
     */
    public static function of(Request $request): array
    {
        return [
            self::whole($request, 'most', self::MOST) ?? self::MOST,
            self::whole($request, 'before', 2_000_000_000),
        ];
    }

    private static function whole(Request $request, string $name, int $most): ?int
    {
        if (!$request->query->has($name)) {
            return null;
        }
        $text = $request->query->getString($name);
        if (1 !== preg_match('/^[1-9]\d{0,9}$/D', $text) || (int) $text > $most) {
            throw InvalidData::at('/' . $name, 'not-a-count', ['most' => $most]);
        }

        return (int) $text;
    }
}
