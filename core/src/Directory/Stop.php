<?php

declare(strict_types=1);

namespace Meandros\Core\Directory;

/** Why no more keys are read. */
enum Stop: string
{
    case Hash = '#';
    case One = 'one left';
    case Letters = 'enough letters';
    case Nobody = 'nobody left';
    case Silence = 'no more keys';
}
