<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Expected;

use Meandros\Core\Reading\Input;

/** Nobody is kept longer, where nobody answers. */
final readonly class IsOverWithin implements Promise
{
    public const NAME = 'is over within';
    private const LONGEST = 86_400;

    public function __construct(public int $seconds) {}

    public static function fromJson(Input $in): static
    {
        $in->onlyFields(['that', 'seconds']);

        return new self($in->field('seconds')->whole(1, self::LONGEST, 'seconds'));
    }

    public function toJson(): array
    {
        return ['that' => self::NAME, 'seconds' => $this->seconds];
    }

    public function references(string $pointer): array
    {
        return [];
    }
}
