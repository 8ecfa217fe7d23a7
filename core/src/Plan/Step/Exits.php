<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Step;

use Meandros\Core\Call\Keypad;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;
use Meandros\Core\Value\Lists;

/** The exits of a step, in the order they are shown. An exit that is not listed falls through. */
final readonly class Exits
{
    /** @param list<StepExit> $items */
    public function __construct(public array $items = []) {}

    /** @param list<string>|null $allowed names of exits that the step can take; null where another element decides */
    public static function fromJson(Input $in, ?array $allowed): self
    {
        $exits = [];
        foreach ($in->items(Limits::EXITS) as $item) {
            $item->onlyFields(['on', 'label', 'steps']);
            $on = $item->field('on')->exactText(Limits::KEY);
            if (null !== $allowed && !Lists::has($allowed, $on)) {
                $item->field('on')->complain('not-an-exit', ['exit' => $on, 'choices' => $allowed]);
            }
            if (isset($exits[$on])) {
                $item->field('on')->complain('exit-twice', ['exit' => $on]);
            }
            $exits[$on] = new StepExit(
                $on,
                $item->field('label')->optionalText(Limits::LABEL),
                StepList::fromJson($item->field('steps')),
            );
        }

        return new self(array_values($exits));
    }

    /** @return list<string> those that are keys of a telephone */
    public function keys(): array
    {
        $keys = [];
        foreach ($this->items as $exit) {
            Lists::has(Keypad::KEYS, $exit->on) && ($keys[] = $exit->on);
        }

        return $keys;
    }

    /** A key by which nothing goes on; null where all lead somewhere. */
    public function wrongKey(): ?string
    {
        return array_values(array_diff(Keypad::KEYS, $this->keys()))[0] ?? null;
    }

    public function find(string $on): ?StepExit
    {
        foreach ($this->items as $exit) {
            if ($exit->on === $on) {
                return $exit;
            }
        }

        return null;
    }

    /** @return list<array<string, mixed>> */
    public function toJson(): array
    {
        return array_map(
            static fn(StepExit $exit): array => [
                'on' => $exit->on,
                'label' => $exit->label,
                'steps' => $exit->steps->toJson(),
            ],
            $this->items,
        );
    }
}
