<?php

declare(strict_types=1);

namespace Meandros\Core\Live;

use Meandros\Core\Call\SignIn;
use Meandros\Core\Time\Override;

/** What is not plan and takes effect at once: an explicit input of every trace. */
final readonly class LiveState
{
    /**
     * @param list<Override>                       $overrides of any hours, the latest last
     * @param array<string, LiveStatus>            $statuses  by person; those not listed are available
     * @param array<string, array<string, SignIn>> $signIns   by queue and person; those not listed are signed in
     */
    public function __construct(
        public array $overrides = [],
        public array $statuses = [],
        public array $signIns = [],
    ) {}
}
