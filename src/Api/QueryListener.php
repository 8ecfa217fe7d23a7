<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\RequestEvent;
use Symfony\Component\HttpKernel\Exception\BadRequestHttpException;

/** An address is text: UTF-8 without control characters, each field of its query once. Before routing. */
#[AsEventListener(priority: 64)]
final readonly class QueryListener
{
    private const LONGEST = 2000;

    public function __invoke(RequestEvent $event): void
    {
        $request = $event->getRequest();
        if (\strlen($request->getRequestUri()) > self::LONGEST) {
            throw new BadRequestHttpException(\sprintf('The address is longer than %d characters.', self::LONGEST));
        }
        foreach (['' => rawurldecode($request->getPathInfo())] + $request->query->all() as $name => $value) {
            if (!\is_string($value) || !self::isText((string) $name) || !self::isText($value)) {
                throw new BadRequestHttpException(
                    'The address must be UTF-8 text without control characters, with each field of its query once.',
                );
            }
        }
    }

    private static function isText(string $text): bool
    {
        return mb_check_encoding($text, 'UTF-8') && 1 !== preg_match('/[\x00-\x1F\x7F]/', $text);
    }
}
