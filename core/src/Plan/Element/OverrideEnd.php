<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

/** When a forced state ends by itself. */
enum OverrideEnd: string
{
    case Lifted = 'until lifted';
    case NextChange = 'next change';
}
