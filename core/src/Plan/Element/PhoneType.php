<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

enum PhoneType: string
{
    case Desk = 'desk';
    case Soft = 'soft';
    case Outside = 'outside';
}
