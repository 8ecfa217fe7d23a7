<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Doctrine\DBAL\Connection;
use Meandros\Server\Storage\Editions;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Exception\ServiceUnavailableHttpException;
use Symfony\Component\Routing\Attribute\Route;

/** How the server is: whether it is up, whether it can do its work, and what somebody must see to. */
final readonly class StateController
{
    public function __construct(
        private Connection $database,
        private Editions $editions,
        #[Autowire('%kernel.project_dir%/migrations')] private string $migrations,
    ) {}

    /** Liveness, and the empty route that bin/bench measures others against. */
    #[Route('/api/up', methods: ['GET'])]
    public function up(): JsonResponse
    {
        return new JsonResponse(['up' => true]);
    }

    /** Readiness: the database answers and is of this version. Alarms are for people: work goes on meanwhile. */
    #[Route('/api/ready', methods: ['GET'])]
    public function ready(): JsonResponse
    {
        $known = array_map(
            static fn(string $file): string => basename($file, '.php'),
            glob($this->migrations . '/Version*.php') ?: [],
        );
        $done = $this->database->fetchFirstColumn(
            "SELECT regexp_replace(version, '^.*\\\\', '') FROM doctrine_migration_versions",
        );
        if ([] !== array_filter($known, static fn(string $version): bool => !\in_array($version, $done, true))) {
            throw new ServiceUnavailableHttpException(
                5,
                'The database is of an earlier version. Run bin/start to bring it up to date.',
            );
        }
        $damaged = $this->editions->damagedLatest();
        $live = $this->editions->live();

        return new JsonResponse([
            'ready' => true,
            'alarms' =>
                null === $damaged
                    ? []
                    : [
                        \sprintf(
                            'Edition %d is damaged in the database. %s Publish the draft again, and have the disk looked at.',
                            $damaged,
                            null === $live
                                ? 'No other can take its place: nothing is live.'
                                : \sprintf('Calls are routed by edition %d, the last good one.', $live),
                        ),
                    ],
        ]);
    }
}
