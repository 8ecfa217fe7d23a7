<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Step;

use Meandros\Core\Plan\Step;
use Meandros\Core\Reading\Input;

/** Ends the call. */
final readonly class EndStep implements Step
{
    use LastOfItsList;
    use OfAStep;
    use WithoutExits;

    public function __construct(private AboutStep $about) {}

    public static function fromJson(Input $in): static
    {
        $in->onlyFields(AboutStep::FIELDS);

        return new self(AboutStep::fromJson($in));
    }

    public function toJson(): array
    {
        return $this->about->toJson('end');
    }
}
