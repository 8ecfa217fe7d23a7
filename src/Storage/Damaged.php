<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

/** What is stored of an edition is not what was published. */
final class Damaged extends \RuntimeException
{
    public function __construct(int $number)
    {
        parent::__construct(
            \sprintf(
                'Edition %d is damaged: what is stored of it does not match its checksum. Look at another one, or bring the database back from a copy.',
                $number,
            ),
        );
    }
}
