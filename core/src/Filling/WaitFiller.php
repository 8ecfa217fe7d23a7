<?php

declare(strict_types=1);

namespace Meandros\Core\Filling;

final class WaitFiller implements Filler
{
    public function words(Facts $facts, Spoken $spoken): string
    {
        $seconds = $facts->expectedWait();

        return null === $seconds ? '' : $spoken->wait((int) ceil($seconds / 60));
    }
}
