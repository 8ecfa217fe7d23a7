<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Json;

/** So much is wrong that reading on is of no use; caught where reading began. */
final class TooManyProblems extends \RuntimeException
{
}
