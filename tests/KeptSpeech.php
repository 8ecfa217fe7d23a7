<?php

declare(strict_types=1);

namespace Meandros\Server\Tests;

use Meandros\Server\Sound\Speech;
use Meandros\Server\Sound\Wav;

/** What was read aloud once is not read again by the tests that come after: each brings the demo in anew, with all of its scripts. */
final class KeptSpeech implements Speech
{
    /** @var array<string, Wav|null> */
    private static array $kept = [];

    public function __construct(private readonly Speech $speech) {}

    public function name(): string
    {
        return $this->speech->name();
    }

    public function speak(string $words, string $language): ?Wav
    {
        $key = hash('xxh128', implode("\n", [$this->name(), $language, $words]));
        if (!\array_key_exists($key, self::$kept)) {
            self::$kept[$key] = $this->speech->speak($words, $language);
        }

        return self::$kept[$key];
    }
}
