<?php

declare(strict_types=1);

namespace Meandros\Core\Plan;

use Meandros\Core\Reading\Input;
use Meandros\Core\Time\Moment;

/** Until when something holds, as a local date and time. */
final class LocalEnd
{
    /** @return string|null 2026-12-01T08:00; null where it is left open, or no such time */
    public static function read(Input $in): ?string
    {
        if (!$in->isGiven()) {
            return null;
        }
        $text = $in->exactText(16);
        if (1 !== preg_match('/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/D', $text)) {
            $in->complain('not-a-moment', ['text' => $text]);

            return null;
        }
        try {
            Moment::parse($text, 'UTC');
        } catch (\InvalidArgumentException $invalid) {
            $in->complain('no-such-moment', ['reason' => $invalid->getMessage()]);
        }

        return $text;
    }
}
