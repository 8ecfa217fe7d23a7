<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Step;

/** Whose extensions callers may dial. */
enum DialScope: string
{
    case Everybody = 'everybody';
    case Site = 'site';
    case Some = 'some';
}
