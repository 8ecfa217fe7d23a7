<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Happening;

use Meandros\Core\Plan\Step\DirectoryStep;

/** Names were read out, and one was chosen or not. */
final readonly class NamesRead implements Happening
{
    /**
     * @param list<string> $people  in the order of their keys, by id
     * @param int          $more    whose names begin so and who were not read out
     * @param string|null  $key     that was pressed
     * @param string|null  $chosen  by id
     * @param int          $seconds of reading
     */
    public function __construct(
        public array $people,
        public int $more,
        public ?string $key,
        public ?string $chosen,
        public int $seconds,
        public DirectoryStep $step,
    ) {}

    public function kind(): string
    {
        return null === $this->chosen ? 'nobody chosen' : 'name chosen';
    }

    public function what(): array
    {
        return ['people' => $this->people, 'key' => $this->key, 'chosen' => $this->chosen];
    }

    public function because(): array
    {
        return ['more' => $this->more, 'seconds' => $this->seconds];
    }

    public function noticed(): array
    {
        return $this->what() + ['seconds' => $this->seconds];
    }
}
