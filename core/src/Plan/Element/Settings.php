<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\WithoutParts;
use Meandros\Core\Reading\Input;

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
     * @param int $loudness    LUFS to which every take is brought (EBU R 128, ITU-R BS.1770)
     * @param int $longestWait seconds after which callers who wait for somebody are a finding
     */
    public function __construct(
        private string $id = 'set_usual',
        private string $name = 'Settings',
        public int $loudness = self::LOUDNESS,
        public int $longestWait = self::LONGEST_WAIT,
    ) {}

    public static function fromJson(Input $in): static
    {
        $in->onlyFields(['id', 'kind', 'name', 'loudness', 'longestWait']);

        return new self(
            $in->field('id')->id(),
            $in->field('name')->text(),
            $in->field('loudness')->whole(-30, -14, 'LUFS', self::LOUDNESS),
            $in->field('longestWait')->whole(30, 7200, 'seconds', self::LONGEST_WAIT),
        );
    }

    public function kind(): Kind
    {
        return Kind::Settings;
    }

    public function toJson(): array
    {
        return [
            'id' => $this->id,
            'kind' => 'settings',
            'name' => $this->name,
            'loudness' => $this->loudness,
            'longestWait' => $this->longestWait,
        ];
    }

    public function references(): array
    {
        return [];
    }
}
