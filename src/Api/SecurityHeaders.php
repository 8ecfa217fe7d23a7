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
        // A page to print has its style and its pictures within it, and nothing else.
        $isPage = str_starts_with((string) $headers->get('Content-Type'), 'text/html');
        $headers->set(
            'Content-Security-Policy',
            "default-src 'none'; frame-ancestors 'none'" .
                ($isPage ? "; style-src 'unsafe-inline'; img-src data:" : ''),
        );
        // What has a tag may be kept, and is asked for anew each time: the answer may be that it is still the same.
        // A sound is named by what it holds: it is never another.
        $isSound = str_starts_with((string) $headers->get('Content-Type'), 'audio/');
        $headers->set(
            'Cache-Control',
            match (true) {
                $isSound => 'private, max-age=31536000, immutable',
                $headers->has('ETag') => 'private, no-cache',
                default => 'no-store',
            },
        );
        $headers->set('Referrer-Policy', 'no-referrer');
        $headers->set('X-Frame-Options', 'DENY');
        $headers->set('Cross-Origin-Opener-Policy', 'same-origin');
        $headers->set('Cross-Origin-Resource-Policy', 'same-origin');
        $headers->set('Permissions-Policy', 'camera=(), microphone=(self), geolocation=(), payment=(), usb=()');
    }
}
