<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

/** Where an outside line may call, seen from the site that it leaves from. */
enum Destination: string
{
    /** One of the plan's own numbers. */
    case Internal = 'internal';
    case Local = 'local';
    case National = 'national';
    case Mobile = 'mobile';
    case International = 'international';
    case Premium = 'premium';
    /** Dialled at a phone only: no call is forwarded to an emergency service. */
    case Emergency = 'emergency';
}
