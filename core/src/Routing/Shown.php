<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

/** What whoever answers sees and hears of a call, and the language that it is in. */
final readonly class Shown
{
    /**
     * @param string|null $tone the name of a ring tone; null for the usual one
     * @param string|null $note to whoever answers
     */
    public function __construct(
        public string $label,
        public string $language,
        public ?string $tone,
        public ?string $note,
    ) {}

    /** @return array{label: string, language: string, tone: string|null, note: string|null} */
    public function toJson(): array
    {
        return ['label' => $this->label, 'language' => $this->language, 'tone' => $this->tone, 'note' => $this->note];
    }
}
