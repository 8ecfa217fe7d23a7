<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

/** What the processes of a server keep for each other (APCu); on the command line nothing is kept. */
final readonly class SharedMemory
{
    /** For which something is kept where nothing else is said. */
    public const SECONDS = 86400;

    private bool $isThere;

    public function __construct()
    {
        $this->isThere = \function_exists('apcu_enabled') && apcu_enabled();
    }

    public function get(string $key): mixed
    {
        $value = $this->isThere ? apcu_fetch($key, $found) : null;

        return $found ?? false ? $value : null;
    }

    public function keep(string $key, mixed $value, int $seconds = self::SECONDS): void
    {
        $this->isThere && apcu_store($key, $value, $seconds);
    }
}
