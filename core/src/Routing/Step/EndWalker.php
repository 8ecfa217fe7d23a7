<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Step;

use Meandros\Core\Routing\Ending;
use Meandros\Core\Routing\EndingKind;
use Meandros\Core\Routing\Onward;

final class EndWalker
{
    public static function take(): Onward
    {
        return Onward::end(new Ending(EndingKind::EndedByPlan));
    }
}
