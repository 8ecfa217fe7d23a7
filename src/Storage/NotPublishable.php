<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

use Meandros\Core\Check\Finding;

/** The draft holds something unfinished that callers would run into. */
final class NotPublishable extends \RuntimeException
{
    /** @param list<Finding> $findings */
    public function __construct(string $message, public readonly array $findings = [])
    {
        parent::__construct($message);
    }
}
