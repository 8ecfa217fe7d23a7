<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Happening;

use Meandros\Core\Routing\Waiting\CallbackRoute;

/** The caller is called back, and takes the call or does not. */
final readonly class CallbackTried implements QueueHappening
{
    public function __construct(
        public CallbackRoute $route,
        public int $try,
        public int $tries,
        public int $seconds,
        public bool $taken,
    ) {}

    public function kind(): string
    {
        return $this->taken ? 'called back' : 'called back in vain';
    }

    public function what(): array
    {
        return ['number' => $this->route->number, 'seconds' => $this->seconds];
    }

    public function because(): array
    {
        return [
            'try' => $this->try,
            'tries' => $this->tries,
            'line' => $this->route->line,
            'shows' => $this->route->shows,
        ];
    }

    public function noticed(): array
    {
        return ['seconds' => $this->seconds, 'shows' => $this->route->shows];
    }
}
