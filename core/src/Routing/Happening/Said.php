<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Happening;

final readonly class Said implements Happening
{
    /**
     * @param string|null $prompt       null when none is chosen
     * @param bool        $whileRinging whether phones ring meanwhile
     */
    public function __construct(public ?string $prompt, public string $language, public string $wantedLanguage, public int $seconds, public bool $whileRinging = false)
    {
    }

    public function kind(): string
    {
        return 'said';
    }

    public function what(): array
    {
        return ['prompt' => $this->prompt, 'language' => $this->language, 'seconds' => $this->seconds];
    }

    public function because(): array
    {
        return ['wantedLanguage' => $this->wantedLanguage, 'whileRinging' => $this->whileRinging];
    }
}
