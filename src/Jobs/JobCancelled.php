<?php

declare(strict_types=1);

namespace Meandros\Server\Jobs;

/** Somebody does not want the job any more. */
final class JobCancelled extends \RuntimeException {}
