<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Happening;

use Meandros\Core\Routing\Heard;

/** The caller heard a prompt, or a part of it. */
final readonly class Said implements Happening
{
    /** Null when none is chosen. */
    public ?string $prompt;
    public string $language;

    /**
     * @param int $seconds for which it was heard
     * @param int $ringing seconds of it during which phones rang
     */
    private function __construct(
        public Heard $heard,
        public string $wantedLanguage,
        public int $seconds,
        public bool $toTheEnd = true,
        public int $ringing = 0,
    ) {
        $this->prompt = $heard->prompt;
        $this->language = $heard->language;
    }

    public static function all(Heard $heard, string $wantedLanguage): self
    {
        return new self($heard, $wantedLanguage, $heard->seconds);
    }

    /** The caller gave up before its end. */
    public static function partly(Heard $heard, string $wantedLanguage, int $seconds): self
    {
        return new self($heard, $wantedLanguage, $seconds, false);
    }

    /**
     * @param int $seconds for which it is heard: to its end, or until the call is answered or given up
     * @param int $ringing seconds of it during which phones rang
     */
    public static function whileRinging(Heard $heard, string $wantedLanguage, int $seconds, int $ringing): self
    {
        return new self($heard, $wantedLanguage, $seconds, $seconds === $heard->seconds, $ringing);
    }

    public function kind(): string
    {
        return 'said';
    }

    public function what(): array
    {
        return [
            'prompt' => $this->prompt,
            'language' => $this->language,
            'seconds' => $this->seconds,
            'filled' => $this->heard->filledJson(),
        ];
    }

    public function because(): array
    {
        return [
            'wantedLanguage' => $this->wantedLanguage,
            'toTheEnd' => $this->toTheEnd,
            'ringing' => $this->ringing,
            'lengthFrom' => $this->heard->from->value,
        ];
    }

    public function noticed(): array
    {
        return 0 === $this->seconds ? [] : $this->what();
    }
}
