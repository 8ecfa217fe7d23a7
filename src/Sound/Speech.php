<?php

declare(strict_types=1);

namespace Meandros\Server\Sound;

/** Reads words aloud: a program on this machine, or a service elsewhere. */
interface Speech
{
    /** What it is called wherever its voice is heard, and kept: another name, another sound. */
    public function name(): string;

    /** @return Wav|null null where it does not speak that language, or there is nothing to say */
    public function speak(string $words, string $language): ?Wav;
}
