<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

/**
 * The draft and the editions are divided into 256 shares each, by the ids of their elements. The database keeps a digest of
 * every share, so that where two plans differ is known without looking at all that they have.
 */
final readonly class Shares
{
    private const NOTHING = 'CAST(0 AS bit(128))';

    /**
     * The same for plans whose elements are the same.
     *
     * @param int|null $edition null for the draft
     *
     * @return string a query for one text
     */
    public static function fingerprint(?int $edition): string
    {
        return \sprintf(
            'SELECT md5(CAST(coalesce(bit_xor(digest), %s) AS text)) FROM (%s) AS shares',
            self::NOTHING,
            self::of($edition),
        );
    }

    /**
     * @param int|null $before an edition; null for the draft
     * @param int|null $after  the same
     *
     * @return string a condition for elements of either plan, true of all that differ and of few others
     */
    public static function differing(?int $before, ?int $after): string
    {
        return \sprintf(
            'share = ANY (ARRAY(SELECT share FROM (%1$s) AS a FULL JOIN (%2$s) AS b USING (share) WHERE coalesce(a.digest, %3$s) <> coalesce(b.digest, %3$s)))',
            self::of($before),
            self::of($after),
            self::NOTHING,
        );
    }

    private static function of(?int $edition): string
    {
        return null === $edition
            ? 'SELECT share, digest FROM draft_share'
            : "SELECT share, digest FROM edition_share WHERE number = $edition";
    }
}
