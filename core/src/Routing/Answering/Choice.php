<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Answering;

use Meandros\Core\Call\Status;
use Meandros\Core\Plan\Element\AnsweringRule;

/** Which answering rule of a person holds, and why. */
final readonly class Choice
{
    /**
     * @param AnsweringRule|null $rule       null where none holds: then all phones ring, unless the status keeps them from it
     * @param list<Considered>   $considered in order, up to the one that holds
     */
    public function __construct(public ?AnsweringRule $rule, public array $considered, public Status $status) {}

    /** Whether nothing rings, since the person is not available and no rule is meant for that. */
    public function isSilent(): bool
    {
        return null === $this->rule && Status::Available !== $this->status;
    }
}
