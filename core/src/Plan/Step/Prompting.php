<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Step;

use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Reading\Input;

/** What callers are asked to press keys with, how long they are waited for, and how often they are asked. */
final readonly class Prompting
{
    /** @param int $tries how often they are asked in all */
    public function __construct(public ?string $prompt, public int $waitSeconds = 5, public int $tries = 2) {}

    /** @param Input $in the step */
    public static function fromJson(Input $in): self
    {
        return new self(
            $in->field('prompt')->reference(),
            $in->field('wait')->whole(1, 60, 'seconds', 5),
            $in->field('tries')->whole(1, 10, 'tries', 2),
        );
    }

    /** @return array{prompt: string|null, wait: int, tries: int} fields of the step */
    public function toJson(): array
    {
        return ['prompt' => $this->prompt, 'wait' => $this->waitSeconds, 'tries' => $this->tries];
    }

    /** Seconds after which somebody who presses nothing goes on, at the longest. */
    public function longest(Plan $plan): int
    {
        return $this->tries * ($this->waitSeconds + Prompt::longestIn($plan, $this->prompt));
    }
}
