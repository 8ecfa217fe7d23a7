<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Copy;

use Meandros\Core\Plan\Dialled;
use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\InPlaceOf;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Place;

/** An element that may be copied, and how it is used by others that are. */
final readonly class Copyable
{
    /**
     * @param list<string> $mentions ids of those that may be copied along with it
     * @param list<Place>  $places   where these others mention it
     */
    public function __construct(public Element $element, public array $mentions, private array $places) {}

    /** @return array{id: string, kind: string, name: string, mentions: list<string>, kinds: list<Kind>, without: list<string>} of which kinds another may be mentioned instead, and codes that the copy goes without */
    public function toJson(): array
    {
        return [
            'id' => $this->element->id(),
            'kind' => $this->element->kind()->value,
            'name' => $this->element->name(),
            'mentions' => $this->mentions,
            'kinds' => InPlaceOf::kinds($this->places),
            'without' => array_values(Dialled::by($this->element)),
        ];
    }
}
