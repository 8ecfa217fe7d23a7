<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Reading\PlainLetters;
use Symfony\Component\HttpFoundation\HeaderUtils;
use Symfony\Component\HttpFoundation\Response;

final class IcsResponse
{
    public static function of(string $text, string $name): Response
    {
        $plain = PlainLetters::joined($name, '-');

        return new Response($text, 200, [
            'Content-Type' => 'text/calendar; charset=utf-8',
            'Content-Disposition' => HeaderUtils::makeDisposition(
                HeaderUtils::DISPOSITION_ATTACHMENT,
                ('' === $plain ? 'calendar' : $plain) . '.ics',
            ),
        ]);
    }
}
