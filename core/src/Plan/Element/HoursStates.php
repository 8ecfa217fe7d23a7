<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

/** The states that hours can be in, which of them holds where nothing else is said, and the codes that force one. */
final readonly class HoursStates
{
    /**
     * @param non-empty-list<State> $all
     * @param list<DialCode>        $codes
     */
    public function __construct(public array $all, public string $default, public array $codes = []) {}

    public function find(string $key): ?State
    {
        foreach ($this->all as $state) {
            if ($state->key === $key) {
                return $state;
            }
        }

        return null;
    }

    /** What people call it; the key itself where no state has it. */
    public function nameOf(string $key): string
    {
        return $this->find($key)->name ?? $key;
    }

    public function code(string $dialled): ?DialCode
    {
        foreach ($this->codes as $code) {
            if ($code->code === $dialled) {
                return $code;
            }
        }

        return null;
    }
}
