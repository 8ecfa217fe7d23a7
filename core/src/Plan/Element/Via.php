<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

/** How a call comes to a person. */
enum Via: string
{
    case Any = 'any';
    case Direct = 'direct';
    case Team = 'team';
}
