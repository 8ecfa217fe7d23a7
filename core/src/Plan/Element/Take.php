<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Reading\Input;

/** A recording of a script. */
final readonly class Take
{
    /** @param ScriptPart $of what it is a recording of */
    public function __construct(
        public string $id,
        public ScriptPart $of,
        public Sound $sound,
        public ReadFrom $read = new ReadFrom(),
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

        return new self(
            $in->field('id')->id(),
            ScriptPart::fromJson($in),
            Sound::fromJson($in),
            ReadFrom::fromJson($in),
            TakeOrigin::fromJson($in),
            SoundMeasures::fromJson($in->field('measures')),
        );
    }

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        return [
            'id' => $this->id,
            'language' => $this->of->language,
            'part' => $this->of->number,
            ...$this->sound->toJson(),
            'words' => $this->read->words,
            'fits' => $this->read->fits,
            ...$this->origin->toJson(),
            'measures' => $this->measures->toJson(),
        ];
    }
}
