<?php

declare(strict_types=1);

namespace Meandros\Core\Reading;

/** So much is wrong that reading on is of no use; caught where reading began. */
final class TooManyProblems extends \RuntimeException {}
