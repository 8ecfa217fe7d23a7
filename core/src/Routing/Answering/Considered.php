<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Answering;

/** A rule that was looked at, and why it did not hold. */
final readonly class Considered
{
    /** @param string|null $why null when it holds */
    public function __construct(public string $rule, public string $name, public ?string $why) {}

    /** @return array{rule: string, name: string, why: string|null} */
    public function toJson(): array
    {
        return ['rule' => $this->rule, 'name' => $this->name, 'why' => $this->why];
    }
}
