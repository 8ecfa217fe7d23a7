<?php

declare(strict_types=1);

namespace Meandros\Core\Call;

final class Keypad
{
    /** The keys of a telephone keypad, ITU-T E.161. */
    public const KEYS = ['1', '2', '3', '4', '5', '6', '7', '8', '9', '*', '0', '#'];
}
