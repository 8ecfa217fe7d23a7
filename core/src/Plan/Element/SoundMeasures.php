<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Reading\Input;

/** How a file sounded when it came in, before it was brought to the plan's level. */
final readonly class SoundMeasures
{
    /**
     * @param int|null $loudness integrated, in LUFS (ITU-R BS.1770); null where it is too quiet or too short to tell
     * @param int|null $peak     true peak in dBTP; null of silence
     * @param int      $clipped  samples at full scale
     * @param int      $silence  percent of it in which nothing is heard
     */
    public function __construct(
        public ?int $loudness = null,
        public ?int $peak = null,
        public int $clipped = 0,
        public int $silence = 0,
    ) {}

    public static function fromJson(Input $in): self
    {
        if (!$in->isGiven()) {
            return new self();
        }
        $in->onlyFields(['loudness', 'peak', 'clipped', 'silence']);

        return new self(
            $in->field('loudness')->optionalWhole(-120, 20, 'LUFS'),
            $in->field('peak')->optionalWhole(-120, 20, 'dBTP'),
            $in->field('clipped')->whole(0, 1_000_000_000, 'samples', 0),
            $in->field('silence')->whole(0, 100, 'percent', 0),
        );
    }

    /** @return array{loudness: int|null, peak: int|null, clipped: int, silence: int} */
    public function toJson(): array
    {
        return [
            'loudness' => $this->loudness,
            'peak' => $this->peak,
            'clipped' => $this->clipped,
            'silence' => $this->silence,
        ];
    }
}
