<?php

declare(strict_types=1);

namespace Meandros\Core\Call;

/** What is put on a call, from here on; null for what stays as it is. */
final readonly class Tag
{
    /**
     * @param string|null $label that whoever answers sees before the caller's name
     * @param string|null $tone  the name of a ring tone, by which phones know it
     * @param string|null $note  to whoever answers
     */
    public function __construct(
        public ?string $label = null,
        public ?string $language = null,
        public ?Urgency $urgency = null,
        public ?string $tone = null,
        public ?string $note = null,
    ) {}

    /** Both, one after the other: of what both put on it, the later one holds. */
    public function then(self $later): self
    {
        return new self(
            $later->label ?? $this->label,
            $later->language ?? $this->language,
            $later->urgency ?? $this->urgency,
            $later->tone ?? $this->tone,
            $later->note ?? $this->note,
        );
    }

    public function isEmpty(): bool
    {
        return [] === array_filter($this->toJson(), is_string(...));
    }

    /** @return array{label: string|null, language: string|null, urgency: string|null, tone: string|null, note: string|null} */
    public function toJson(): array
    {
        return [
            'label' => $this->label,
            'language' => $this->language,
            'urgency' => $this->urgency?->value,
            'tone' => $this->tone,
            'note' => $this->note,
        ];
    }
}
