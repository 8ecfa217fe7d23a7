<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Doctrine\DBAL\Exception\ConnectionException;
use Doctrine\DBAL\Exception\ConstraintViolationException;
use Doctrine\DBAL\Exception\DriverException;
use Meandros\Core\Check\Finding;
use Meandros\Core\Plan\Element\Expectation;
use Meandros\Core\Plan\Place;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Limits;
use Meandros\Core\Reading\Problem;
use Meandros\Core\Routing\TooMuchWork;
use Meandros\Core\Wording\FindingWords;
use Meandros\Core\Wording\ProblemWords;
use Meandros\Server\Proof\BrokenPromises;
use Meandros\Server\Proof\PromisesLeft;
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

/** Errors as problem details (RFC 9457); each entry of "errors" points at a field by JSON Pointer. Answers are short, whatever came in. */
#[AsEventListener(priority: -10)]
final readonly class ProblemListener
{
    /** Bytes of a list in an answer; what does not fit is counted. */
    private const LONGEST_LIST = 60_000;
    /** Characters of a sentence. */
    private const LONGEST_DETAIL = 1000;

    public function __invoke(ExceptionEvent $event): void
    {
        $error = $event->getThrowable();
        [$status, $title, $more] = match (true) {
            $error instanceof InvalidData => [
                422,
                'Some of this cannot be saved',
                self::listed('errors', array_map(ProblemWords::report(...), $error->problems)),
            ],
            $error instanceof TooMuchWork => [422, 'Too much at once', []],
            $error instanceof NotFound => [404, 'Not found', []],
            $error instanceof InUse => [
                409,
                'In use',
                self::listed('places', array_map(static fn(Place $place): array => $place->toJson(), $error->places)),
            ],
            $error instanceof AlreadyExists => [409, 'Already there', []],
            $error instanceof NothingToUndo => [409, 'Nothing to do', []],
            $error instanceof NotPublishable => [
                409,
                'Not published',
                self::listed(
                    'findings',
                    array_map(static fn(Finding $one): array => FindingWords::report($one), $error->findings),
                ),
            ],
            $error instanceof BrokenPromises => [
                409,
                'Not published',
                [
                    'expectations' => array_map(
                        static fn(Expectation $one): string => $one->id(),
                        $error->expectations,
                    ),
                ],
            ],
            $error instanceof PromisesLeft => [409, 'Not published yet', ['left' => $error->numbers]],
            $error instanceof Damaged => [409, 'Damaged', []],
            $error instanceof StaleRevision => [412, 'Changed meanwhile', ['revision' => $error->current]],
            $error instanceof ConstraintViolationException => [409, 'Changed meanwhile', []],
            self::isAway($error) => [503, 'The database is away', []],
            $error instanceof HttpExceptionInterface => [$error->getStatusCode(), 'The request was refused', []],
            default => [500, 'Something went wrong', []],
        };
        $detail = match (true) {
            500 === $status => 'This is a fault of the server, and is in its log. Nothing was changed.',
            503 === $status && !($error instanceof HttpExceptionInterface)
                => 'The database cannot be reached, or is too busy. Ask again in a moment.',
            $error instanceof ConstraintViolationException
                => 'Something that this builds on was changed at the same moment. Nothing was changed; look at it again.',
            $error instanceof InvalidData => 1 === \count($error->problems)
                ? ProblemWords::both($error->problems[0])
                : \sprintf('%d fields need a look.', \count($error->problems)),
            default => $error->getMessage(),
        };
        $response = new JsonResponse(
            [
                'type' => 'about:blank',
                'title' => $title,
                'status' => $status,
                'detail' => mb_strimwidth($detail, 0, self::LONGEST_DETAIL, '…'),
            ] + $more,
            $status,
            ['Content-Type' => 'application/problem+json'],
        );
        if ($error instanceof HttpExceptionInterface) {
            $response->headers->add($error->getHeaders());
        }
        if (503 === $status && !$response->headers->has('Retry-After')) {
            $response->headers->set('Retry-After', '2');
        }
        $event->setResponse($response);
    }

    /** Whether it is the database that does not do its part: gone, going, starting, or too busy (SQLSTATE classes 08, 53, 55, 57; HY000 is what PDO says of a connection that was cut). */
    private static function isAway(\Throwable $error): bool
    {
        return $error instanceof ConnectionException ||
            ($error instanceof DriverException &&
                1 === preg_match('/^(08|53|55P03|57|40P01|25P03|HY000)/', (string) $error->getSQLState()));
    }

    /**
     * @param list<array<string, mixed>> $entries
     *
     * @return array<string, mixed>
     */
    private static function listed(string $name, array $entries): array
    {
        $bytes = 0;
        foreach ($entries as $i => $entry) {
            $bytes += \strlen((string) json_encode($entry));
            if ($bytes > self::LONGEST_LIST || $i >= Limits::PROBLEMS) {
                return [$name => \array_slice($entries, 0, $i), 'more' => \count($entries) - $i];
            }
        }

        return [$name => $entries];
    }
}
