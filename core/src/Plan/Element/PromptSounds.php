<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\Language;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;
use Meandros\Core\Value\Copied;

/** How a prompt sounds: its takes, which of them is in use, and what the machine voice makes of it. */
final readonly class PromptSounds
{
    use Copied;

    /**
     * @param array<string, Take>           $takes   by id, the oldest first
     * @param array<string, string>         $inUse   a take's id, by language
     * @param array<string, MachineReading> $machine by language
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
        foreach ($in->field('inUse')->entries(Limits::LANGUAGES) as $language => $item) {
            Language::check((string) $language, $item);
            $id = $item->exactText(80);
            if (($takes[$id] ?? null)?->language !== (string) $language) {
                $item->complain('no-such-take', ['take' => Input::quote($id), 'language' => (string) $language]);
            }
            $inUse[(string) $language] = $id;
        }
        foreach ($in->field('machine')->entries(Limits::LANGUAGES) as $language => $item) {
            Language::check((string) $language, $item);
            $machine[(string) $language] = MachineReading::fromJson($item);
        }
        ksort($inUse);
        ksort($machine);

        return new self($takes, $inUse, $machine);
    }

    public function inUse(string $language): ?Take
    {
        return $this->takes[$this->inUse[$language] ?? ''] ?? null;
    }

    /** @param bool $use whether callers hear it; they do where no other take is in use */
    public function withTake(Take $take, bool $use): self
    {
        $isFirst = null === $this->inUse($take->language);

        return $this->with(
            takes: $this->takes + [$take->id => $take],
            inUse: ($use || $isFirst ? [$take->language => $take->id] : []) + $this->inUse,
        );
    }

    /** @param array<string, MachineReading> $machine by language */
    public function withMachine(array $machine): self
    {
        return $this->with(machine: $machine);
    }

    /** What the machine makes of these words; null where it has not read them. */
    public function machine(string $language, string $script): ?MachineReading
    {
        $reading = $this->machine[$language] ?? null;

        return $reading?->words === $script ? $reading : null;
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
