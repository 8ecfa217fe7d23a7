<?php

declare(strict_types=1);

namespace Meandros\Core\Recording;

/** A script that is to be recorded, or might be: one line of a recording sheet. */
final readonly class Wanted
{
    /**
     * @param string $prompt  its id
     * @param string $caption its name
     * @param string $voice   who is to read it; empty where that is open
     * @param int    $seconds that it should take
     * @param string $file    how the file is to be named, without its ending
     */
    public function __construct(
        public string $prompt,
        public string $caption,
        public string $language,
        public string $voice,
        public string $script,
        public int $seconds,
        public string $file,
        public TakeState $state,
    ) {}

    /** @return array<string, string|int> */
    public function toJson(): array
    {
        return [
            'prompt' => $this->prompt,
            'caption' => $this->caption,
            'language' => $this->language,
            'voice' => $this->voice,
            'script' => $this->script,
            'seconds' => $this->seconds,
            'file' => $this->file,
            'state' => $this->state->value,
        ];
    }
}
