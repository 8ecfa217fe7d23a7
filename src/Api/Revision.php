<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Exception\PreconditionRequiredHttpException;

/** Revisions of elements as entity tags (RFC 9110 8.8.3). */
final class Revision
{
    public static function tag(int $revision): string
    {
        return '"' . $revision . '"';
    }

    public static function demanded(Request $request): int
    {
        if (1 !== preg_match('/^"(\d{1,18})"$/D', $request->headers->get('If-Match', ''), $part)) {
            throw new PreconditionRequiredHttpException(
                'Say which revision you are changing, in an If-Match header such as "12".',
            );
        }

        return (int) $part[1];
    }
}
