<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Happening;

use Meandros\Core\Plan\Step\MenuStep;
use Meandros\Core\Routing\Heard;

/** One try of a menu: the prompt was played, and a key came or did not. */
final readonly class Asked implements Happening
{
    /**
     * @param string|null $key  that counted, or the digits that were dialled
     * @param int|null    $at   seconds since the prompt began at which it was pressed
     * @param int         $more seconds in which more digits came, or could have
     */
    public function __construct(public Heard $heard, public ?string $key, public bool $known, public MenuStep $menu, public int $try, public ?int $at = null, public int $more = 0)
    {
    }

    public function kind(): string
    {
        return match (true) {
            null === $this->key => 'nothing pressed',
            $this->known => 'key pressed',
            default => 'wrong key',
        };
    }

    /** Seconds of the prompt that were heard. */
    public function heardSeconds(): int
    {
        return min($this->at ?? $this->heard->seconds, $this->heard->seconds);
    }

    public function what(): array
    {
        return ['prompt' => $this->heard->prompt, 'language' => $this->heard->language, 'seconds' => $this->heardSeconds(), 'key' => $this->key];
    }

    public function because(): array
    {
        return ['wait' => $this->menu->waitSeconds, 'try' => $this->try, 'tries' => $this->menu->tries, 'at' => $this->at, 'more' => $this->more];
    }

    public function noticed(): array
    {
        return ['prompt' => $this->heard->prompt, 'language' => $this->heard->language, 'key' => $this->key, 'known' => $this->known, 'seconds' => $this->heardSeconds() + $this->more + (null === $this->key ? $this->menu->waitSeconds : 0)];
    }
}
