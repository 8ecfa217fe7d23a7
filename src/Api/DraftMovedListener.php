<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Server\Storage\DraftMoved;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\ExceptionEvent;
use Symfony\Component\HttpKernel\Exception\ServiceUnavailableHttpException;
use Symfony\Component\HttpKernel\HttpKernelInterface;

/** A question during which somebody wrote to the draft is asked again, about the draft as it is then. */
#[AsEventListener(priority: 10)]
final readonly class DraftMovedListener
{
    private const ATTRIBUTE = '_asked';
    private const MOST = 5;

    public function __invoke(ExceptionEvent $event): void
    {
        if (!($event->getThrowable() instanceof DraftMoved)) {
            return;
        }
        $request = $event->getRequest();
        $asked = $request->attributes->getInt(self::ATTRIBUTE, 1);
        if ($asked >= self::MOST) {
            $event->setThrowable(
                new ServiceUnavailableHttpException(
                    1,
                    'The draft is being written to all the time. Ask again in a moment.',
                ),
            );

            return;
        }
        $again = $request->duplicate();
        $again->attributes->set(self::ATTRIBUTE, $asked + 1);
        $event->setResponse($event->getKernel()->handle($again, HttpKernelInterface::SUB_REQUEST));
        $event->allowCustomResponseCode();
    }
}
