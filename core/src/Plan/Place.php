<?php

declare(strict_types=1);

namespace Meandros\Core\Plan;

/** A place in the plan where an element is used. */
final readonly class Place
{
    public function __construct(public Element $user, public Reference $reference) {}

    /** @return array{id: string, kind: string, name: string, pointer: string, role: string} */
    public function toJson(): array
    {
        return [
            'id' => $this->user->id(),
            'kind' => $this->user->kind()->value,
            'name' => $this->user->name(),
            'pointer' => $this->reference->pointer,
            'role' => $this->reference->role,
        ];
    }
}
