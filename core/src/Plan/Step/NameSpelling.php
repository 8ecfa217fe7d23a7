<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Step;

use Meandros\Core\Plan\Spelled;
use Meandros\Core\Reading\Input;

/** How callers spell whom they want, and how many of those whose names begin so are read out. */
final readonly class NameSpelling
{
    /**
     * @param int  $letters    after which nothing more is waited for, where that leaves few enough
     * @param int  $most       people who are read out to choose from
     * @param bool $extensions whether an extension will do too
     */
    public function __construct(
        public NamePart $part = NamePart::Last,
        public int $letters = 3,
        public int $most = 3,
        public bool $extensions = true,
    ) {}

    /** @param Input $step with the fields "part", "letters", "most" and "extensions" */
    public static function fromJson(Input $step): self
    {
        /** @var NamePart $part */
        $part = $step->field('part')->oneOf(NamePart::class, NamePart::Last);

        return new self(
            $part,
            $step->field('letters')->whole(Spelled::FEWEST, 8, 'letters', 3),
            $step->field('most')->whole(1, 9, 'people', 3),
            $step->field('extensions')->flag(true),
        );
    }

    /** @return non-empty-list<Spelled::FIRST|Spelled::LAST|Spelled::EXTENSION> */
    public function parts(): array
    {
        return [...$this->part->parts(), ...$this->extensions ? [Spelled::EXTENSION] : []];
    }

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        return [
            'part' => $this->part->value,
            'letters' => $this->letters,
            'most' => $this->most,
            'extensions' => $this->extensions,
        ];
    }
}
