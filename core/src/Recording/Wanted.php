<?php

declare(strict_types=1);

namespace Meandros\Core\Recording;

use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Element\ScriptPart;

/** A script, or a part of one, that is to be recorded, or might be: one line of a recording sheet. */
final readonly class Wanted
{
    /** Seconds that it should take. */
    public int $seconds;

    /** @param string $file how the file is to be named, without its ending */
    public function __construct(
        public Prompt $prompt,
        public ScriptPart $part,
        public string $file,
        public TakeState $state,
    ) {
        $this->seconds = Prompt::estimate($part->words);
    }

    /** @return array<string, string|int> */
    public function toJson(): array
    {
        return [
            'prompt' => $this->prompt->id(),
            'caption' => $this->prompt->name(),
            'language' => $this->part->language,
            'part' => $this->part->number,
            'voice' => $this->prompt->voice,
            'script' => $this->part->words,
            'seconds' => $this->seconds,
            'file' => $this->file,
            'state' => $this->state->value,
        ];
    }
}
