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
            throw InvalidData::at(
                '/zone',
                \sprintf('"%s" is not a time zone.', mb_substr($zone, 0, 80)),
                Zone::remedy($zone),
            );
        }
        try {
            return Moment::parse($request->query->getString('at'), $zone);
        } catch (\InvalidArgumentException $invalid) {
            throw InvalidData::at('/at', $invalid->getMessage(), 'Choose an existing date and time.');
        }
    }
}
