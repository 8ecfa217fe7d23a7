<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Expected;

use Meandros\Core\Reading\Input;
use Meandros\Core\Value\Lists;

/** Calls end in one of some ways, where nobody answers. */
final readonly class EndsWith implements Promise
{
    public const NAME = 'ends with';

    /** @param non-empty-list<Outcome> $outcomes in the order of the enum */
    public function __construct(public array $outcomes) {}

    public static function fromJson(Input $in): static
    {
        $in->onlyFields(['that', 'outcomes']);
        $given = [];
        foreach ($in->field('outcomes')->items(\count(Outcome::cases())) as $item) {
            /** @var Outcome $outcome */
            $outcome = $item->oneOf(Outcome::class, Outcome::Message);
            $given[] = $outcome;
        }
        $outcomes = array_values(
            array_filter(Outcome::cases(), static fn(Outcome $one): bool => Lists::has($given, $one)),
        );
        if ([] === $outcomes) {
            $in->field('outcomes')->complain('outcome-missing');
            $outcomes = [Outcome::Message];
        }

        return new self($outcomes);
    }

    public function toJson(): array
    {
        return [
            'that' => self::NAME,
            'outcomes' => array_map(static fn(Outcome $one): string => $one->value, $this->outcomes),
        ];
    }

    public function references(string $pointer): array
    {
        return [];
    }
}
