<?php

declare(strict_types=1);

namespace Meandros\Core\Tests;

use PHPUnit\Framework\Assert;

/**
 * What is told, word by word and field by field, kept in a file beside its test. After a change on purpose MEANDROS_TELL=1 writes
 * it anew; what differs is read before it is committed.
 */
final class Told
{
    public static function same(string $file, string $told): void
    {
        false === getenv('MEANDROS_TELL') || file_put_contents($file, $told);
        Assert::assertNotSame('', $told);
        Assert::assertSame((string) file_get_contents($file), $told);
    }

    public static function json(mixed $data): string
    {
        return json_encode($data, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES);
    }
}
