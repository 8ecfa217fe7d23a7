<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;
use Meandros\Core\Value\Copied;

/** How a prompt sounds: its takes, which of them is in use, and what the machine voice makes of it. */
final readonly class PromptSounds
{
    use Copied;

    /**
     * @param array<string, Take>           $takes   by id, the oldest first
     * @param array<string, string>         $inUse   a take's id, by the part of a script
     * @param array<string, MachineReading> $machine by the part of a script
     */
    public function __construct(public array $takes = [], public array $inUse = [], public array $machine = []) {}

    /** @param Input $in the whole prompt */
    public static function fromJson(Input $in): self
    {
        $takes = $inUse = $machine = [];
        foreach ($in->field('takes')->items(Limits::TAKES) as $item) {
            $take = Take::fromJson($item);
            if (isset($takes[$take->id])) {
                $item->field('id')->complain('take-id-twice');
            }
            $takes[$take->id] = $take;
        }
        foreach ($in->field('inUse')->entries(Limits::LANGUAGES * ScriptPart::MOST) as $key => $item) {
            ScriptPart::check((string) $key, $item);
            $id = $item->exactText(Limits::ID);
            if (($takes[$id] ?? null)?->of->key() !== (string) $key) {
                $item->complain('no-such-take', ['take' => Input::quote($id), 'part' => (string) $key]);
            }
            $inUse[(string) $key] = $id;
        }
        foreach ($in->field('machine')->entries(Limits::LANGUAGES * ScriptPart::MOST) as $key => $item) {
            ScriptPart::check((string) $key, $item);
            $machine[(string) $key] = MachineReading::fromJson($item);
        }
        ksort($inUse);
        ksort($machine);

        return new self($takes, $inUse, $machine);
    }

    public function inUse(ScriptPart $part): ?Take
    {
        return $this->takes[$this->inUse[$part->key()] ?? ''] ?? null;
    }

    /** @param bool $use whether callers hear it; they do where no other take is in use */
    public function withTake(Take $take, bool $use): self
    {
        $isFirst = null === $this->inUse($take->of);

        return $this->with(
            takes: $this->takes + [$take->id => $take],
            inUse: ($use || $isFirst ? [$take->of->key() => $take->id] : []) + $this->inUse,
        );
    }

    /** @param array<string, MachineReading> $machine by the part of a script */
    public function withMachine(array $machine): self
    {
        return $this->with(machine: $machine);
    }

    /** What the machine makes of a part; null where it has not read its words. */
    public function machine(ScriptPart $part): ?MachineReading
    {
        $reading = $this->machine[$part->key()] ?? null;

        return $reading?->words === $part->words ? $reading : null;
    }

    /** @return array{takes: list<array<string, mixed>>, inUse: object, machine: object} */
    public function toJson(): array
    {
        return [
            'takes' => array_map(static fn(Take $take): array => $take->toJson(), array_values($this->takes)),
            'inUse' => (object) $this->inUse,
            'machine' => (object) array_map(
                static fn(MachineReading $reading): array => $reading->toJson(),
                $this->machine,
            ),
        ];
    }
}
