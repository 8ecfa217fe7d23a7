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

    /** @param string $table that stands in a document: its first words, and the whole of it */
    public static function within(string $file, string $begins, string $table): void
    {
        $document = (string) file_get_contents($file);
        $from = strpos($document, "\n" . $begins);
        Assert::assertNotFalse($from, "$file has no table that begins with $begins");
        $end = strpos($document . "\n", "\n\n", $from + 1);
        self::same($file, substr($document, 0, $from + 1) . rtrim($table) . substr($document, (int) $end));
    }

    public static function json(mixed $data): string
    {
        return json_encode($data, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES);
    }
}
