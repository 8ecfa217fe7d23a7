<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Reading\Input;

/** Whether callers find somebody by name or extension. */
final readonly class Listing
{
    /**
     * @param string      $reason why not, where they do not
     * @param string|null $prompt their name as it is read out; null for the machine's reading of it
     */
    public function __construct(public bool $on = true, public string $reason = '', public ?string $prompt = null) {}

    public static function fromJson(Input $in): self
    {
        if (!$in->isGiven()) {
            return new self();
        }
        $in->onlyFields(['on', 'reason', 'prompt']);

        return new self(
            $in->field('on')->flag(true),
            $in->field('reason')->optionalText(),
            $in->field('prompt')->reference(),
        );
    }

    /** @return array{on: bool, reason: string, prompt: string|null} */
    public function toJson(): array
    {
        return ['on' => $this->on, 'reason' => $this->reason, 'prompt' => $this->prompt];
    }
}
