<?php

declare(strict_types=1);

namespace Meandros\Core\Outside;

use Meandros\Core\Plan\Element\Destination;
use Meandros\Core\Plan\Element\OutsideLine;

/** How a call leaves, or would if a line might carry it. */
final readonly class Departure
{
    /**
     * @param OutsideLine|null $line        null where none may carry the call
     * @param Destination      $destination seen from the line, or from the first that was tried
     * @param string           $dials       the digits that go out
     */
    public function __construct(public ?OutsideLine $line, public Destination $destination, public string $dials) {}

    /** @return array{line: string|null, name: string|null, destination: string, dials: string} */
    public function toJson(): array
    {
        return [
            'line' => $this->line?->id(),
            'name' => $this->line?->name(),
            'destination' => $this->destination->value,
            'dials' => $this->dials,
        ];
    }
}
