<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

/** A step that the call came to: where, from when until when, and how it left. */
final readonly class Visit
{
    /**
     * @param string|null $exit      the exit that it left by; null when it went on to the next step
     * @param bool        $exitTaken whether that exit holds a list of steps, even an empty one
     */
    public function __construct(
        public string $journey,
        public string $step,
        public int $from,
        public int $until,
        public ?string $exit,
        public bool $exitTaken,
    ) {}

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        return [
            'journey' => $this->journey,
            'step' => $this->step,
            'from' => $this->from,
            'until' => $this->until,
            'exit' => $this->exit,
            'exitTaken' => $this->exitTaken,
        ];
    }
}
