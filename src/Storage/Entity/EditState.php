<?php

declare(strict_types=1);

namespace Meandros\Server\Storage\Entity;

enum EditState: string
{
    case Done = 'done';
    case Undone = 'undone';
    /** Undone, and then something else was edited; or a beginning that nobody wants to go back behind. */
    case Dropped = 'dropped';
}
