<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

/** How the length of a prompt is known. */
enum LengthFrom: string
{
    case Take = 'take';
    case Machine = 'machine';
    /** Those of its parts are known; what fills its blanks is counted. */
    case PartsAndWords = 'parts and words';
    /** Counted at so many words a minute. */
    case Words = 'words';
}
