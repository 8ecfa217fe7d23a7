<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

/** A phone is to ring over a half-open stretch of seconds, counted from when the ringing starts. */
final readonly class Alert
{
    public function __construct(public RingPhone $phone, public int $from, public int $until)
    {
    }
}
