<?php

declare(strict_types=1);

namespace Meandros\Core\Call;

use Meandros\Core\Reading\Input;

/** How an agent stands when the call begins. */
final readonly class AgentState
{
    /**
     * @param int|null $freeAfter seconds until the agent can be asked: the end of a call, or of a pause; null where no end is known
     * @param int      $idle      seconds since their last call, where they are free
     * @param int      $calls     taken today
     * @param int      $talk      seconds of talking today
     */
    public function __construct(
        public bool $signedIn,
        public ?int $freeAfter,
        public int $idle = 0,
        public int $calls = 0,
        public int $talk = 0,
    ) {}

    /** Of a call that began so many seconds earlier. */
    public function later(int $seconds): self
    {
        $freeAfter = null === $this->freeAfter ? null : $this->freeAfter + $seconds;

        return new self($this->signedIn, $freeAfter, $this->idle, $this->calls, $this->talk);
    }

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        return [
            'signedIn' => $this->signedIn,
            'freeAfter' => $this->freeAfter,
            'idle' => $this->idle,
            'calls' => $this->calls,
            'talk' => $this->talk,
        ];
    }

    public static function fromJson(Input $in): self
    {
        $in->onlyFields(['who', 'signedIn', 'freeAfter', 'idle', 'calls', 'talk']);

        return new self(
            $in->field('signedIn')->flag(true),
            $in->field('freeAfter')->isNamed() ? $in->field('freeAfter')->optionalWhole(0, 86400, 'seconds') : 0,
            $in->field('idle')->whole(0, 604800, 'seconds', 0),
            $in->field('calls')->whole(0, 100000, 'calls', 0),
            $in->field('talk')->whole(0, 604800, 'seconds', 0),
        );
    }
}
