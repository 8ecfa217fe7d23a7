<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Happening;

/** An extension is dialled at a menu. */
final readonly class ExtensionDialled implements Happening
{
    /** @param string|null $closed the hours for which the mailbox takes the call; null where phones ring */
    public function __construct(public string $who, public string $extension, public ?string $closed) {}

    public function kind(): string
    {
        return 'extension dialled';
    }

    public function what(): array
    {
        return ['who' => $this->who];
    }

    public function because(): array
    {
        return ['extension' => $this->extension, 'closed' => $this->closed];
    }

    public function noticed(): array
    {
        return ['who' => $this->who];
    }
}
