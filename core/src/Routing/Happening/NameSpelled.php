<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Happening;

use Meandros\Core\Directory\Search;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Step\DirectoryStep;
use Meandros\Core\Routing\Heard;

/** A caller spelled a name or dialled an extension, or did not. */
final readonly class NameSpelled implements Happening
{
    /**
     * @param Search|null $search  null where nothing was pressed
     * @param int         $seconds that spelling took, or for which nothing was pressed
     * @param int|null    $at      seconds since the prompt began at which the first key was pressed
     */
    public function __construct(
        public Heard $heard,
        public ?Search $search,
        public DirectoryStep $step,
        public int $try,
        public int $seconds,
        public ?int $at,
    ) {}

    public function kind(): string
    {
        return match (true) {
            null === $this->search => 'nothing pressed',
            [] === $this->search->people => 'nobody found',
            default => 'name spelled',
        };
    }

    public function what(): array
    {
        return [
            'prompt' => $this->heard->prompt,
            'language' => $this->heard->language,
            'keys' => $this->search?->typed,
            'people' => array_map(static fn(Person $person): string => $person->id(), $this->search->people ?? []),
        ];
    }

    public function because(): array
    {
        return [
            'stop' => $this->search?->stop->value,
            'try' => $this->try,
            'tries' => $this->step->asks->tries,
            'seconds' => $this->seconds,
            'at' => $this->at,
        ];
    }

    public function noticed(): array
    {
        return [
            'prompt' => $this->heard->prompt,
            'language' => $this->heard->language,
            'keys' => $this->search?->typed,
            'seconds' => $this->seconds,
            'at' => $this->at,
        ];
    }
}
