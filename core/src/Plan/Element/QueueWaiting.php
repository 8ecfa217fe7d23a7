<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Call\Keypad;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Reading\Input;

/** What callers go through while they wait. */
final readonly class QueueWaiting
{
    public const MOST_SECONDS = 7200;
    /** Where plans of earlier versions have one piece of music: it is read, and written with the others. */
    private const MUSIC_BEFORE = 'music';

    /**
     * @param int         $longestSeconds  of waiting, the introduction among them; then the call goes on
     * @param string|null $introduction    a prompt that is heard to its end before anybody is asked
     * @param int         $announceSeconds between announcements; 0 for none
     * @param bool        $tellsPosition   whether announcements say how many are ahead
     * @param bool        $tellsWait       or how long it is likely to take
     * @param string|null $leaveKey        of a telephone keypad, by which callers leave; null where they cannot
     */
    public function __construct(
        public int $longestSeconds = 300,
        public ?string $introduction = null,
        public int $announceSeconds = 60,
        public bool $tellsPosition = true,
        public bool $tellsWait = false,
        public ?string $leaveKey = null,
    ) {}

    public static function fromJson(Input $in): self
    {
        if (!$in->isGiven()) {
            return new self();
        }
        $in->onlyFields([
            self::MUSIC_BEFORE,
            'longestSeconds',
            'introduction',
            'announceSeconds',
            'tellsPosition',
            'tellsWait',
            'leaveKey',
        ]);
        $usual = new self();

        return new self(
            $in->field('longestSeconds')->whole(1, self::MOST_SECONDS, 'seconds', $usual->longestSeconds),
            $in->field('introduction')->reference(),
            $in->field('announceSeconds')->whole(0, 3600, 'seconds', $usual->announceSeconds),
            $in->field('tellsPosition')->flag($usual->tellsPosition),
            $in->field('tellsWait')->flag($usual->tellsWait),
            Keypad::optional($in->field('leaveKey')),
        );
    }

    /** The piece of music of a plan of an earlier version; null where it has none. */
    public static function musicBefore(Input $in): ?string
    {
        return $in->isGiven() ? $in->field(self::MUSIC_BEFORE)->reference() : null;
    }

    /** Whether callers are told anything while they wait. */
    public function announces(): bool
    {
        return $this->announceSeconds > 0 && ($this->tellsPosition || $this->tellsWait);
    }

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        return [
            'longestSeconds' => $this->longestSeconds,
            'introduction' => $this->introduction,
            'announceSeconds' => $this->announceSeconds,
            'tellsPosition' => $this->tellsPosition,
            'tellsWait' => $this->tellsWait,
            'leaveKey' => $this->leaveKey,
        ];
    }

    /** @return list<Reference> */
    public function references(string $pointer): array
    {
        return null === $this->introduction
            ? []
            : [
                new Reference(
                    $this->introduction,
                    $pointer . '/introduction',
                    [Kind::Prompt],
                    'plays it to whoever begins to wait',
                ),
            ];
    }
}
