<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Reading\Input;

/** A recording of a script. */
final readonly class Take
{
    /**
     * @param ScriptPart  $of    what it is a recording of
     * @param string      $words the script, or its part, that it was read from; empty where nobody said
     * @param string|null $fits  a later script of which somebody said that this take still fits it
     */
    public function __construct(
        public string $id,
        public ScriptPart $of,
        public Sound $sound,
        public string $words,
        public ?string $fits = null,
        public TakeOrigin $origin = new TakeOrigin(),
        public SoundMeasures $measures = new SoundMeasures(),
    ) {}

    public static function fromJson(Input $in): self
    {
        $in->onlyFields([
            'id',
            'language',
            'part',
            'sound',
            'milliseconds',
            'words',
            'fits',
            'voice',
            'by',
            'at',
            'note',
            'measures',
        ]);
        $fits = $in->field('fits');

        return new self(
            $in->field('id')->id(),
            ScriptPart::fromJson($in),
            Sound::fromJson($in),
            $in->field('words')->optionalText(Prompt::LONGEST_SCRIPT),
            $fits->isGiven() ? $fits->optionalText(Prompt::LONGEST_SCRIPT) : null,
            TakeOrigin::fromJson($in),
            SoundMeasures::fromJson($in->field('measures')),
        );
    }

    /** Whether it says what the script says; nobody can tell where it is not known what was read. */
    public function isOf(string $script): bool
    {
        $same = static fn(string $text): string => (string) preg_replace('/\s+/u', ' ', trim($text));

        return '' === $this->words ||
            \in_array($same($script), [$same($this->words), $same($this->fits ?? $this->words)], true);
    }

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        return [
            'id' => $this->id,
            'language' => $this->of->language,
            'part' => $this->of->number,
            ...$this->sound->toJson(),
            'words' => $this->words,
            'fits' => $this->fits,
            ...$this->origin->toJson(),
            'measures' => $this->measures->toJson(),
        ];
    }
}
