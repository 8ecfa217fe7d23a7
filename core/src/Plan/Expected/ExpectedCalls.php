<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Expected;

use Meandros\Core\Call\Keypad;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;
use Meandros\Core\Value\Lists;

/** The calls that a promise is about. */
final readonly class ExpectedCalls
{
    /**
     * @param list<string>      $to   numbers, by id, and people, for the numbers by which they are called straight; none: to any number
     * @param list<string>      $from lists of callers, by id; none: from anybody
     * @param list<string>|null $keys pressed at one menu after the other; null: whatever callers press
     */
    public function __construct(public array $to = [], public array $from = [], public ?array $keys = null) {}

    public static function fromJson(Input $in): self
    {
        if (!$in->isGiven()) {
            return new self();
        }
        $in->onlyFields(['to', 'from', 'keys']);
        $keys = $in->field('keys');

        return new self(
            self::ids($in->field('to'), Limits::ELEMENTS),
            self::ids($in->field('from'), Limits::CALLERS),
            $keys->isGiven() ? array_map(self::key(...), $keys->items(Limits::PRESSES)) : null,
        );
    }

    /** @return list<string> */
    private static function ids(Input $in, int $most): array
    {
        return array_values(
            array_unique(array_map(static fn(Input $item): string => $item->text(Limits::ID), $in->items($most))),
        );
    }

    private static function key(Input $in): string
    {
        $key = $in->exactText(1);
        if ('' !== $key && !Lists::has(Keypad::KEYS, $key)) {
            $in->complain('not-a-key', ['key' => $key]);
        }

        return $key;
    }

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        return ['to' => $this->to, 'from' => $this->from, 'keys' => $this->keys];
    }

    /** @return list<Reference> */
    public function references(string $pointer): array
    {
        $references = [];
        foreach ($this->to as $i => $id) {
            $references[] = new Reference(
                $id,
                "$pointer/to/$i",
                [Kind::Number, Kind::Person],
                'promises something of its calls',
            );
        }
        foreach ($this->from as $i => $id) {
            $references[] = new Reference($id, "$pointer/from/$i", [Kind::CallerList], 'promises something to it');
        }

        return $references;
    }
}
