<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Call\Keypad;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Reading\Input;

/** How callers come to keep their place and be called back. */
final readonly class CallbackOffer
{
    /**
     * @param string|null $key          of a telephone keypad that keeps the place; null where no key does
     * @param int         $afterSeconds of waiting, from which on the key counts and the offer is heard
     * @param string|null $prompt       the offer
     * @param string|null $confirm      a prompt that says which number is called back, before they hang up
     * @param bool        $atTheEnd     whether whoever has waited longest is called back, instead of going on
     */
    public function __construct(
        public ?string $key = null,
        public int $afterSeconds = 60,
        public ?string $prompt = null,
        public ?string $confirm = null,
        public bool $atTheEnd = false,
    ) {}

    public static function fromJson(Input $in): self
    {
        if (!$in->isGiven()) {
            return new self();
        }
        $in->onlyFields(['key', 'afterSeconds', 'prompt', 'confirm', 'atTheEnd']);

        return new self(
            Keypad::optional($in->field('key')),
            $in->field('afterSeconds')->whole(0, QueueWaiting::MOST_SECONDS, 'seconds', (new self())->afterSeconds),
            $in->field('prompt')->reference(),
            $in->field('confirm')->reference(),
            $in->field('atTheEnd')->flag(false),
        );
    }

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        return [
            'key' => $this->key,
            'afterSeconds' => $this->afterSeconds,
            'prompt' => $this->prompt,
            'confirm' => $this->confirm,
            'atTheEnd' => $this->atTheEnd,
        ];
    }

    /** @return list<Reference> */
    public function references(string $pointer): array
    {
        $references = [];
        if (null !== $this->prompt) {
            $references[] = new Reference(
                $this->prompt,
                $pointer . '/prompt',
                [Kind::Prompt],
                'offers to call back with it',
            );
        }
        if (null !== $this->confirm) {
            $references[] = new Reference(
                $this->confirm,
                $pointer . '/confirm',
                [Kind::Prompt],
                'says with it who will be called back',
            );
        }

        return $references;
    }
}
