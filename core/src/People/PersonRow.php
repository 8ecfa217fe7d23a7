<?php

declare(strict_types=1);

namespace Meandros\Core\People;

/** Somebody as a file describes them: words that are not checked yet, and where they stand. */
final readonly class PersonRow
{
    /**
     * @param int    $line    of the file
     * @param string $site    a site's name; empty for the usual one
     * @param string $mailbox a mailbox's name; empty for none
     */
    public function __construct(
        public int $line,
        public string $name,
        public string $extension,
        public string $site,
        public RowPhones $phones,
        public string $mailbox,
    ) {}
}
