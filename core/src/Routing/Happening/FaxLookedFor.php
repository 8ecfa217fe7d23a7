<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Happening;

use Meandros\Core\Routing\Heard;

/** A fax machine was listened for. */
final readonly class FaxLookedFor implements Happening
{
    /**
     * @param string|null $mailbox null where none is chosen
     * @param Heard       $heard   meanwhile
     * @param int         $seconds for which it was listened
     * @param bool        $isFax   whether one was found
     * @param bool        $calls   whether one calls
     */
    public function __construct(
        public ?string $mailbox,
        public Heard $heard,
        public int $seconds,
        public bool $isFax,
        public bool $calls,
    ) {}

    public function kind(): string
    {
        return $this->isFax ? 'fax' : 'no fax';
    }

    public function what(): array
    {
        return ['mailbox' => $this->mailbox, 'seconds' => $this->seconds, 'prompt' => $this->heard->prompt];
    }

    public function because(): array
    {
        return ['calls' => $this->calls, 'silence' => $this->silence()];
    }

    /** Seconds in which a caller hears nothing. */
    public function silence(): int
    {
        return max(0, $this->seconds - $this->heard->seconds);
    }

    public function noticed(): array
    {
        return [
            'fax' => $this->isFax,
            'prompt' => $this->heard->prompt,
            'language' => $this->heard->language,
            'seconds' => $this->seconds,
        ];
    }
}
