<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Plan\Check\Finding;
use Meandros\Core\Plan\InvalidData;
use Meandros\Core\Plan\Place;
use Meandros\Core\Plan\Problem;
use Meandros\Server\Storage\AlreadyExists;
use Meandros\Server\Storage\Damaged;
use Meandros\Server\Storage\InUse;
use Meandros\Server\Storage\NotFound;
use Meandros\Server\Storage\NothingToUndo;
use Meandros\Server\Storage\NotPublishable;
use Meandros\Server\Storage\StaleRevision;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Event\ExceptionEvent;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;

/** Errors as problem details (RFC 9457); each entry of "errors" points at a field by JSON Pointer. */
#[AsEventListener(priority: -10)]
final readonly class ProblemListener
{
    public function __invoke(ExceptionEvent $event): void
    {
        $error = $event->getThrowable();
        [$status, $title, $more] = match (true) {
            $error instanceof InvalidData => [422, 'Some of this cannot be saved', ['errors' => array_map(static fn (Problem $problem): array => $problem->toJson(), $error->problems)]],
            $error instanceof NotFound => [404, 'Not found', []],
            $error instanceof InUse => [409, 'In use', ['places' => array_map(static fn (Place $place): array => $place->toJson(), $error->places)]],
            $error instanceof AlreadyExists => [409, 'Already there', []],
            $error instanceof NothingToUndo => [409, 'Nothing to do', []],
            $error instanceof NotPublishable => [409, 'Not published', ['findings' => array_map(static fn (Finding $finding): array => $finding->toJson(), $error->findings)]],
            $error instanceof Damaged => [409, 'Damaged', []],
            $error instanceof StaleRevision => [412, 'Changed meanwhile', ['revision' => $error->current]],
            $error instanceof HttpExceptionInterface => [$error->getStatusCode(), 'The request was refused', []],
            default => [500, 'Something went wrong', []],
        };
        $detail = match (true) {
            500 === $status => 'This is a fault of the server, and is in its log. Nothing was changed.',
            $error instanceof InvalidData => 1 === \count($error->problems) ? $error->problems[0]->message.' '.$error->problems[0]->remedy : \sprintf('%d fields need a look.', \count($error->problems)),
            default => $error->getMessage(),
        };
        $response = new JsonResponse(['type' => 'about:blank', 'title' => $title, 'status' => $status, 'detail' => $detail] + $more, $status, ['Content-Type' => 'application/problem+json']);
        if ($error instanceof HttpExceptionInterface) {
            $response->headers->add($error->getHeaders());
        }
        $event->setResponse($response);
    }
}
