<?php

declare(strict_types=1);

namespace Meandros\Core\ICalendar;

use Meandros\Core\Plan\Element;

/** What an import would do: the element as it would be, and entry by entry what becomes of the file. */
final readonly class Preview
{
    /**
     * @param list<string>  $added     in words
     * @param list<string>  $changed   in words
     * @param list<string>  $unchanged in words
     * @param list<LeftOut> $leftOut
     */
    public function __construct(
        public Element $result,
        public array $added,
        public array $changed,
        public array $unchanged,
        public array $leftOut,
    ) {}

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        return [
            'element' => $this->result->toJson(),
            'added' => $this->added,
            'changed' => $this->changed,
            'unchanged' => $this->unchanged,
            'leftOut' => array_map(static fn(LeftOut $one): array => $one->toJson(), $this->leftOut),
        ];
    }
}
