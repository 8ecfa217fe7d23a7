<?php

declare(strict_types=1);

namespace Meandros\Server\Jobs;

/** Long work in the background, as it stands. */
final readonly class Job
{
    /** @param array<string, mixed> $row of the table, without its input */
    private function __construct(public int $id, public JobState $state, private array $row) {}

    /** @param array<string, mixed> $row */
    public static function of(array $row): self
    {
        \assert(is_numeric($row['id']) && \is_string($row['state']));

        return new self((int) $row['id'], JobState::from($row['state']), $row);
    }

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        $decoded = static fn(mixed $json): mixed => \is_string($json)
            ? json_decode($json, true, 64, \JSON_THROW_ON_ERROR)
            : null;

        return [
            'id' => $this->id,
            'kind' => $this->row['kind'],
            'label' => $this->row['label'],
            'state' => $this->state->value,
            'done' => $this->row['done'],
            'of' => $this->row['of'],
            'result' => $decoded($this->row['result']),
            'problems' => $decoded($this->row['problems']) ?? [],
        ];
    }
}
