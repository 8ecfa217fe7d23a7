<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\ResponseEvent;

/** Answers are data of this moment: not to be kept, framed or guessed at. */
#[AsEventListener]
final readonly class SecurityHeaders
{
    public function __invoke(ResponseEvent $event): void
    {
        $headers = $event->getResponse()->headers;
        $headers->set('X-Content-Type-Options', 'nosniff');
        $headers->set('Content-Security-Policy', "default-src 'none'; frame-ancestors 'none'");
        $headers->set('Cache-Control', 'no-store');
        $headers->set('Referrer-Policy', 'no-referrer');
    }
}
