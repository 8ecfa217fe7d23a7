<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Expected;

use Meandros\Core\Plan\Reference;
use Meandros\Core\Reading\Input;

/** Somebody's phone rings, or the caller waits in a queue. */
final readonly class Rings implements Promise
{
    public const NAME = 'rings';
    public const LONGEST = 3600;

    /**
     * @param string|null $who    a person, a team or a queue; null for whoever it is
     * @param int|null    $within seconds since the call came in; null where it does not matter
     */
    public function __construct(public ?string $who, public ?int $within) {}

    public static function fromJson(Input $in): static
    {
        $in->onlyFields(['that', 'who', 'within']);

        return new self(
            $in->field('who')->reference(),
            $in->field('within')->optionalWhole(0, self::LONGEST, 'seconds'),
        );
    }

    public function toJson(): array
    {
        return ['that' => self::NAME, 'who' => $this->who, 'within' => $this->within];
    }

    public function references(string $pointer): array
    {
        return null === $this->who
            ? []
            : [new Reference($this->who, $pointer . '/who', RingsNever::WHO, 'promises that it rings')];
    }
}
