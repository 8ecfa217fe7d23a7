<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Time\Moment;
use Meandros\Core\Time\Zone;
use Symfony\Component\HttpFoundation\Request;

/** The moment that a request asks about, in its query: at, and zone. */
final class AskedMoment
{
    /**
     * @return int Unix seconds
     *
     * @throws InvalidData
     */
    public static function of(Request $request): int
    {
        $zone = $request->query->getString('zone', 'UTC');
        if (!Zone::exists($zone)) {
            throw InvalidData::at('/zone', 'not-a-zone', Zone::unknown($zone));
        }
        try {
            return Moment::parse($request->query->getString('at'), $zone);
        } catch (\InvalidArgumentException $invalid) {
            throw InvalidData::at('/at', 'no-such-moment', ['reason' => $invalid->getMessage()]);
        }
    }
}
