<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\WithoutParts;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;

/** What holds for the whole plan; one that has none goes by what is usual. */
final readonly class Settings implements Element
{
    use Named;
    use WithoutParts;

    /** LUFS (common practice for telephone announcements; R 128's own -23 is for broadcasting). */
    public const LOUDNESS = -20;
    /** Seconds (common practice). */
    public const LONGEST_WAIT = 600;

    /**
     * @param int           $loudness    LUFS to which every take is brought (EBU R 128, ITU-R BS.1770)
     * @param int           $longestWait seconds after which callers who wait for somebody are a finding
     * @param list<Silence> $silences    findings that nobody wants to read of for a while
     */
    public function __construct(
        private About $about = new About('set_usual', 'Settings'),
        public int $loudness = self::LOUDNESS,
        public int $longestWait = self::LONGEST_WAIT,
        public array $silences = [],
    ) {}

    public static function fromJson(Input $in): static
    {
        $in->onlyFields([...About::FIELDS, 'loudness', 'longestWait', 'silences']);

        return new self(
            About::fromJson($in),
            $in->field('loudness')->whole(-30, -14, 'LUFS', self::LOUDNESS),
            $in->field('longestWait')->whole(30, 7200, 'seconds', self::LONGEST_WAIT),
            array_map(Silence::fromJson(...), $in->field('silences')->items(Limits::SILENCES)),
        );
    }

    public function kind(): Kind
    {
        return Kind::Settings;
    }

    public function toJson(): array
    {
        return [
            ...$this->about->toJson($this->kind()),
            'loudness' => $this->loudness,
            'longestWait' => $this->longestWait,
            'silences' => array_map(static fn(Silence $one): array => $one->toJson(), $this->silences),
        ];
    }

    /**
     * @param int $day days since 1970-01-01
     *
     * @return Silence|null what is said of a finding, where it is silenced on that day
     */
    public function silence(string $element, string $code, int $day): ?Silence
    {
        foreach ($this->silences as $one) {
            if ($one->element === $element && $one->code === $code && $day < $one->until) {
                return $one;
            }
        }

        return null;
    }

    public function references(): array
    {
        return [];
    }
}
