<?php

declare(strict_types=1);

namespace Meandros\Core\Tests;

use PHPUnit\Framework\Assert;

/** A reference written in Python, with packages of Debian: reads cases as JSON, prints answers as JSON. */
final class PythonReference
{
    /**
     * @param list<mixed> $cases
     *
     * @return list<mixed> one answer per case
     */
    public static function ask(string $script, array $cases): array
    {
        $input = tmpfile();
        \assert(false !== $input);
        fwrite($input, json_encode($cases, \JSON_THROW_ON_ERROR));
        rewind($input);
        $process = proc_open(['/usr/bin/python3', $script], [$input, ['pipe', 'w']], $pipes);
        Assert::assertIsResource($process);
        $text = (string) stream_get_contents($pipes[1]);
        Assert::assertSame(
            0,
            proc_close($process),
            basename($script) . ' needs packages of Debian; bin/test installs them.',
        );
        $answers = json_decode($text, true, 16, \JSON_THROW_ON_ERROR);
        Assert::assertIsArray($answers);
        Assert::assertCount(\count($cases), $answers);

        return array_values($answers);
    }
}
