<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

use Meandros\Core\Plan\Element;

/** What an edit is to do to the draft. */
final readonly class PlannedEdit
{
    /**
     * @param array<string, Element|null>     $elements as they are to be, by id; null for those that go
     * @param string|null                     $name     the plan's new name, where it gets one
     * @param array<string, string|null>|null $rows     the elements encoded by ElementRows, where that is done already
     */
    public function __construct(
        public string $label,
        public array $elements,
        public ?string $name = null,
        public ?array $rows = null,
    ) {}

    /**
     * @param list<Element> $elements
     * @param list<string>  $gone     ids
     */
    public static function of(string $label, array $elements, array $gone = []): self
    {
        $byId = array_fill_keys($gone, null);
        foreach ($elements as $element) {
            $byId[$element->id()] = $element;
        }

        return new self($label, $byId);
    }
}
