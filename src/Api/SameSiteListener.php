<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\RequestEvent;
use Symfony\Component\HttpKernel\Exception\AccessDeniedHttpException;

/**
 * A second fence against pages of other sites that make a browser send requests here: browsers say where a request comes
 * from (Fetch Metadata Request Headers, W3C; RFC 6454 7). Programs say nothing, and may.
 */
#[AsEventListener(priority: 60)]
final readonly class SameSiteListener
{
    public function __invoke(RequestEvent $event): void
    {
        $request = $event->getRequest();
        $site = $request->headers->get('Sec-Fetch-Site', 'none');
        $origin = $request->headers->get('Origin');
        if (
            !\in_array($site, ['same-origin', 'none'], true) ||
            (null !== $origin && $origin !== $request->getSchemeAndHttpHost())
        ) {
            throw new AccessDeniedHttpException('Requests from pages of other sites are not answered.');
        }
    }
}
