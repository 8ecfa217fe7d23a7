<?php

declare(strict_types=1);

namespace Meandros\Server\Jobs;

use Doctrine\DBAL\Connection;

/** How far a job is: told to whoever waits for it, and asked whether anybody still does. */
final class Progress
{
    /** Seconds between two looks at the database. */
    private const EVERY = 0.3;

    private float $told = 0.0;

    public function __construct(private readonly Connection $database, private readonly int $job) {}

    /** @throws JobCancelled */
    public function at(int $done, int $of): void
    {
        if (microtime(true) - $this->told < self::EVERY) {
            return;
        }
        $this->told = microtime(true);
        $isWanted = $this->database->fetchOne('UPDATE job SET done = ?, of = ? WHERE id = ? RETURNING wanted', [
            $done,
            $of,
            $this->job,
        ]);
        if (true !== $isWanted) {
            throw new JobCancelled();
        }
    }
}
