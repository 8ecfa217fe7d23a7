<?php

declare(strict_types=1);

namespace Meandros\Core\Map;

/** A rectangle on a map, in pixels from its upper left corner. */
final readonly class Box
{
    /**
     * @param string $key  the step, or the step and its exit
     * @param string $text that stands in it
     */
    public function __construct(
        public string $key,
        public string $text,
        public int $x,
        public int $y,
        public int $width,
        public int $height,
    ) {}

    public function right(): int
    {
        return $this->x + $this->width;
    }

    public function bottom(): int
    {
        return $this->y + $this->height;
    }

    public function middle(): int
    {
        return $this->y + intdiv($this->height, 2);
    }

    public function overlaps(self $other): bool
    {
        return $this->x < $other->right() &&
            $other->x < $this->right() &&
            $this->y < $other->bottom() &&
            $other->y < $this->bottom();
    }
}
