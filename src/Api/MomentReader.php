<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Time\Moment;

/** Moments as requests name them. */
final class MomentReader
{
    /**
     * @return int Unix seconds; 0, with a complaint filed, where it is none
     *
     * @throws InvalidData
     */
    public static function read(Input $in, string $zone): int
    {
        $text = $in->text(40);
        try {
            return '' === $text ? 0 : Moment::parse($text, $zone);
        } catch (InvalidData $invalid) {
            throw $invalid;
        } catch (\InvalidArgumentException $invalid) {
            $in->complain('no-such-moment', ['reason' => $invalid->getMessage()]);

            return 0;
        }
    }
}
