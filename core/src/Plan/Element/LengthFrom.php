<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

/** How the length of a prompt is known. */
enum LengthFrom: string
{
    case Take = 'take';
    case Machine = 'machine';
    /** Counted at so many words a minute. */
    case Words = 'words';
}
