<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Happening;

use Meandros\Core\Call\Urgency;

/** What the call carries is changed from here on. */
final readonly class Tagged implements Happening
{
    /** @param string|null $label null for what stays as it is, as with the others */
    public function __construct(public ?string $label, public ?string $language, public ?Urgency $urgency)
    {
    }

    public function kind(): string
    {
        return 'tagged';
    }

    public function what(): array
    {
        return ['label' => $this->label, 'language' => $this->language, 'urgency' => $this->urgency?->value];
    }

    public function because(): array
    {
        return [];
    }

    public function noticed(): array
    {
        return $this->what();
    }
}
