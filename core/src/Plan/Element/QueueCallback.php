<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\Reference;
use Meandros\Core\Reading\Input;

/** Callers may keep their place, hang up, and be called back when it is their turn. */
final readonly class QueueCallback
{
    public function __construct(
        public CallbackOffer $offer = new CallbackOffer(),
        public CallbackTries $calls = new CallbackTries(),
        public CallbackWindow $window = new CallbackWindow(),
    ) {}

    /** Null where nobody is called back. */
    public static function fromJson(Input $in): ?self
    {
        if (!$in->isGiven()) {
            return null;
        }
        $in->onlyFields(['offer', 'calls', 'window']);

        return new self(
            CallbackOffer::fromJson($in->field('offer')),
            CallbackTries::fromJson($in->field('calls')),
            CallbackWindow::fromJson($in->field('window')),
        );
    }

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        return [
            'offer' => $this->offer->toJson(),
            'calls' => $this->calls->toJson(),
            'window' => $this->window->toJson(),
        ];
    }

    /** @return list<Reference> */
    public function references(string $pointer): array
    {
        return [
            ...$this->offer->references($pointer . '/offer'),
            ...$this->calls->references($pointer . '/calls'),
            ...$this->window->references($pointer . '/window'),
        ];
    }
}
