<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Step;

use Meandros\Core\Plan\Step;
use Meandros\Core\Reading\Input;

/** Goes back to the menu that it stands in, or to the one above that: it asks again. */
final readonly class AgainStep implements Step
{
    use LastOfItsList;
    use OfAStep;
    use WithoutExits;

    private const HIGHEST = 9;

    /** @param int $up menus further up than the one that it stands in */
    public function __construct(private AboutStep $about, public int $up) {}

    public static function fromJson(Input $in): static
    {
        $in->onlyFields([...AboutStep::FIELDS, 'up']);

        return new self(AboutStep::fromJson($in), $in->field('up')->whole(0, self::HIGHEST, 'menus', 0));
    }

    public function toJson(): array
    {
        return [...$this->about->toJson('again'), 'up' => $this->up];
    }
}
