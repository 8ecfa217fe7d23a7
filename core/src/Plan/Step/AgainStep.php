<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Step;

use Meandros\Core\Plan\Step;
use Meandros\Core\Reading\Input;

/** Goes back to the menu that it stands in, or to the one above that: it asks again. */
final readonly class AgainStep implements Step
{
    use LastOfItsList;
    use WithoutExits;

    private const HIGHEST = 9;

    /** @param int $up menus further up than the one that it stands in */
    public function __construct(private string $id, public int $up) {}

    public static function fromJson(Input $in): static
    {
        $in->onlyFields(['id', 'do', 'up']);

        return new self($in->field('id')->id(), $in->field('up')->whole(0, self::HIGHEST, 'menus', 0));
    }

    public function id(): string
    {
        return $this->id;
    }

    public function toJson(): array
    {
        return ['id' => $this->id, 'do' => 'again', 'up' => $this->up];
    }
}
