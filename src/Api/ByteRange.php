<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

/** One range of bytes that a request asks for (RFC 9110 14.1.2). */
final readonly class ByteRange
{
    private function __construct(public int $from, public int $count) {}

    /** @return self|null null where all of it is to be sent: no range is asked for, several are, or none that is understood; with a count of 0 where it lies outside */
    public static function of(string $header, int $size): ?self
    {
        if (1 !== preg_match('/^bytes=(\d{0,15})-(\d{0,15})$/D', trim($header), $part) || '-' === substr($header, 6)) {
            return null;
        }
        [, $first, $last] = $part;
        if ('' === $first) {
            $from = max(0, $size - (int) $last);

            return new self($from, $size - $from);
        }
        if ('' !== $last && (int) $last < (int) $first) {
            return null;
        }
        $until = '' === $last ? $size : min($size, (int) $last + 1);

        return new self((int) $first, max(0, $until - (int) $first));
    }
}
