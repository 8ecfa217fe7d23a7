<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Step;

/** A step at which callers may reach people by dialling, whom it does not mention one by one. */
interface DialsPeople
{
    /** Somebody was dialled, and did not take the call. */
    public const DIALLED = 'dialled';

    public function dials(): ?MenuDialling;
}
