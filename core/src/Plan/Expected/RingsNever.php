<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Expected;

use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Reading\Input;

/** Somebody's phone does not ring, nor does anybody wait for them in a queue. */
final readonly class RingsNever implements Promise
{
    public const NAME = 'never rings';
    public const WHO = [Kind::Person, Kind::Team, Kind::Queue];

    /** @param string|null $who a person, a team or a queue; null for anybody at all */
    public function __construct(public ?string $who) {}

    public static function fromJson(Input $in): static
    {
        $in->onlyFields(['that', 'who']);

        return new self($in->field('who')->reference());
    }

    public function toJson(): array
    {
        return ['that' => self::NAME, 'who' => $this->who];
    }

    public function references(string $pointer): array
    {
        return null === $this->who
            ? []
            : [new Reference($this->who, $pointer . '/who', self::WHO, 'promises that it does not ring')];
    }
}
