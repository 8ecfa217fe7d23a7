<?php

declare(strict_types=1);

namespace Meandros\Core\Proof;

use Meandros\Core\Call\Behaviour;

/** Whose calls are meant: where nothing is said, everybody's who presses nothing, with phones that ring on. */
final readonly class CallsOf
{
    /**
     * @param list<string>   $keys   pressed at one menu after the other
     * @param string         $caller who calls; empty for whoever it is
     * @param Behaviour|null $phones what all of them do; null for ringing on
     */
    public function __construct(
        public array $keys = [],
        public string $caller = '',
        public ?Behaviour $phones = null,
    ) {}
}
