<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Reading\Input;

/** The share of calls that is to be answered within so many seconds. */
final readonly class ServicePromise
{
    public function __construct(public int $percent = 80, public int $seconds = 20)
    {
    }

    public static function fromJson(Input $in): self
    {
        if (!$in->isGiven()) {
            return new self();
        }
        $in->onlyFields(['percent', 'seconds']);
        $usual = new self();

        return new self($in->field('percent')->whole(1, 100, 'percent', $usual->percent), $in->field('seconds')->whole(0, 3600, 'seconds', $usual->seconds));
    }

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        return ['percent' => $this->percent, 'seconds' => $this->seconds];
    }
}
