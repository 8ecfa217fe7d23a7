<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Reading\Input;

/** Whether the talk with an agent is recorded, and what callers are told of it. */
final readonly class QueueRecording
{
    /** @param string|null $notice a prompt that callers hear to its end before anything else */
    public function __construct(public bool $on = false, public ?string $notice = null) {}

    public static function fromJson(Input $in): self
    {
        if (!$in->isGiven()) {
            return new self();
        }
        $in->onlyFields(['on', 'notice']);

        return new self($in->field('on')->flag(false), $in->field('notice')->reference());
    }

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        return ['on' => $this->on, 'notice' => $this->notice];
    }

    /** @return list<Reference> */
    public function references(string $pointer): array
    {
        return null === $this->notice
            ? []
            : [new Reference($this->notice, $pointer . '/notice', [Kind::Prompt], 'says that calls are recorded')];
    }
}
