<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

/** Somebody wrote to the draft while it was being read: what was read so far is of another moment. Read again. */
final class DraftMoved extends \RuntimeException
{
    public function __construct()
    {
        parent::__construct('The draft was written to while it was read.');
    }
}
