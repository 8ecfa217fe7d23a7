<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Happening;

/** The call is sent on to a number outside, or does not get through. */
final readonly class SentOn implements Happening
{
    /**
     * @param string|null $number E.164; null where none is chosen
     * @param string|null $line   by which it leaves
     * @param string|null $shows  the number of ours that is shown, in E.164; null for the caller's
     * @param string      $digits sent when it is answered
     * @param string|null $exit   by which it goes on where it does not get through
     */
    public function __construct(
        public ?string $number,
        public ?string $line = null,
        public ?string $shows = null,
        public ?string $exit = null,
        public string $digits = '',
    ) {}

    public function kind(): string
    {
        return null === $this->exit && null !== $this->number ? 'sent on' : 'not sent on';
    }

    public function what(): array
    {
        return ['number' => $this->number, 'exit' => $this->exit];
    }

    public function because(): array
    {
        return ['line' => $this->line, 'shows' => $this->shows, 'digits' => $this->digits];
    }

    public function noticed(): array
    {
        return ['number' => $this->number, 'shows' => $this->shows, 'exit' => $this->exit];
    }
}
