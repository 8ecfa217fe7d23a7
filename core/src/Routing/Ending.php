<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

/** How a call ends, and with whom. */
final readonly class Ending
{
    /**
     * @param string|null $who   the person who answered, the mailbox that took the message, or the queue in which a place was kept; null for an outside number
     * @param string|null $phone the phone that was answered
     */
    public function __construct(public EndingKind $kind, public ?string $who = null, public ?string $phone = null) {}

    /** The person, mailbox, queue or outside number that it ends with. */
    public function whom(): ?string
    {
        return $this->who ?? $this->phone;
    }

    /** @return array{kind: string, who: string|null, phone: string|null} */
    public function toJson(): array
    {
        return ['kind' => $this->kind->value, 'who' => $this->who, 'phone' => $this->phone];
    }
}
