<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Happening;

/** One try of a menu: the prompt was played, and a key came or did not. */
final readonly class Asked implements Happening
{
    public function __construct(public ?string $prompt, public string $language, public int $promptSeconds, public ?string $key, public bool $known, public int $waitSeconds, public int $try, public int $tries)
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

    public function what(): array
    {
        return ['prompt' => $this->prompt, 'language' => $this->language, 'seconds' => $this->promptSeconds, 'key' => $this->key];
    }

    public function because(): array
    {
        return ['wait' => $this->waitSeconds, 'try' => $this->try, 'tries' => $this->tries];
    }

    public function noticed(): array
    {
        return ['prompt' => $this->prompt, 'language' => $this->language, 'key' => $this->key, 'known' => $this->known, 'seconds' => $this->promptSeconds + (null === $this->key ? $this->waitSeconds : 0)];
    }
}
