<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Year;

/** A check that is only right where all calls were seen. */
interface OfWhatNeverHappens {}
