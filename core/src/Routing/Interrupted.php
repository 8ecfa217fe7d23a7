<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

/** The caller presses a key that a step heeds while something goes on. */
final class Interrupted extends \Exception {}
