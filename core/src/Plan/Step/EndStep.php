<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Step;

use Meandros\Core\Plan\Step;
use Meandros\Core\Reading\Input;

/** Ends the call. */
final readonly class EndStep implements Step
{
    use LastOfItsList;
    use WithoutExits;

    public function __construct(private string $id) {}

    public static function fromJson(Input $in): static
    {
        $in->onlyFields(['id', 'do']);

        return new self($in->field('id')->id());
    }

    public function id(): string
    {
        return $this->id;
    }

    public function toJson(): array
    {
        return ['id' => $this->id, 'do' => 'end'];
    }
}
