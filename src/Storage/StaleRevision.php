<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

/** What somebody wants to change is not what they looked at any more. */
final class StaleRevision extends \RuntimeException
{
    private function __construct(string $message, public readonly int $current)
    {
        parent::__construct($message);
    }

    /** @param int $current the revision of what is there now */
    public static function of(string $name, int $current): self
    {
        return new self(
            \sprintf(
                '%s was changed meanwhile, in another window or by somebody else. Your change was not saved.',
                $name,
            ),
            $current,
        );
    }

    /** @param int $current the edit that is next now */
    public static function edit(string $label, int $current): self
    {
        return new self(
            \sprintf(
                'Something else was done meanwhile, in another window or by somebody else: next is “%s”. Nothing was changed.',
                $label,
            ),
            $current,
        );
    }
}
