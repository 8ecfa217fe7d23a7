<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Happening;

use Meandros\Core\Plan\Step\MenuStep;
use Meandros\Core\Routing\Heard;
use Meandros\Core\Routing\Pressed;

/** One try of a menu: the prompt was played, and a key or a word came or did not. */
final readonly class Asked implements Happening
{
    public function __construct(public Heard $heard, public Pressed $pressed, public MenuStep $menu, public int $try) {}

    public function kind(): string
    {
        return match (true) {
            $this->pressed->isNothing() => 'nothing pressed',
            null !== $this->pressed->said => $this->pressed->known ? 'word said' : 'not understood',
            $this->pressed->known => 'key pressed',
            default => 'wrong key',
        };
    }

    /** Seconds of the prompt that were heard. */
    public function heardSeconds(): int
    {
        return min($this->pressed->at ?? $this->heard->seconds, $this->heard->seconds);
    }

    public function what(): array
    {
        return [
            'prompt' => $this->heard->prompt,
            'language' => $this->heard->language,
            'seconds' => $this->heardSeconds(),
            'filled' => $this->heard->filledJson(),
            'key' => $this->pressed->key,
            'said' => $this->pressed->said?->said,
        ];
    }

    public function because(): array
    {
        return [
            'wait' => $this->menu->asks->waitSeconds,
            'try' => $this->try,
            'tries' => $this->menu->asks->tries,
            'at' => $this->pressed->at,
            'more' => $this->pressed->more,
            'understood' => $this->pressed->said?->toJson(),
        ];
    }

    public function noticed(): array
    {
        $seconds =
            $this->heardSeconds() +
            $this->pressed->more +
            ($this->pressed->isNothing() ? $this->menu->asks->waitSeconds : 0);

        return [
            'prompt' => $this->heard->prompt,
            'language' => $this->heard->language,
            'key' => $this->pressed->key,
            'said' => $this->pressed->said?->said,
            'known' => $this->pressed->known,
            'seconds' => $seconds,
        ];
    }
}
