<?php

declare(strict_types=1);

namespace Meandros\Core\Call;

use Meandros\Core\Reading\Input;

/** What the caller does while waiting in a queue, and when called back. */
final readonly class WaitingCaller
{
    /**
     * @param int|null $leaves  seconds of waiting after which they press the key that leaves, where there is one
     * @param int|null $keeps   seconds of waiting after which they press the key that keeps the place, where there is one
     * @param int|null $picksUp seconds of ringing after which they take the call back; null where they do not
     * @param int      $onTry   at which call back they do, from 1
     */
    public function __construct(
        public ?int $leaves = null,
        public ?int $keeps = null,
        public ?int $picksUp = null,
        public int $onTry = 1,
    ) {}

    /** @return array<string, int|null> */
    public function toJson(): array
    {
        return [
            'leaves' => $this->leaves,
            'keeps' => $this->keeps,
            'picksUp' => $this->picksUp,
            'onTry' => $this->onTry,
        ];
    }

    /** @param Input $state of the queue, with the fields "leaves", "keeps", "picksUp" and "onTry" */
    public static function fromJson(Input $state): self
    {
        return new self(
            $state->field('leaves')->optionalWhole(0, 86400, 'seconds'),
            $state->field('keeps')->optionalWhole(0, 86400, 'seconds'),
            $state->field('picksUp')->optionalWhole(0, 120, 'seconds'),
            $state->field('onTry')->whole(1, 9, 'calls', 1),
        );
    }
}
