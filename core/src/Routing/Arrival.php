<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

use Meandros\Core\Call\Caller;
use Meandros\Core\Call\Urgency;

/** How a call came in, the last time that it did: by what was dialled, and from whom as far as that line tells. */
final readonly class Arrival
{
    /**
     * @param string      $element the number, person or hours that were dialled, by id
     * @param string|null $site    of the number; null where it has none
     */
    public function __construct(public string $element, public string $label, public string $language, public ?string $site, public Caller $caller, public Urgency $urgency = Urgency::Usual)
    {
    }

    /** The same call, with what it carries from here on; null for what stays as it is. */
    public function tagged(?string $label, ?string $language, ?Urgency $urgency): self
    {
        return new self($this->element, $label ?? $this->label, $language ?? $this->language, $this->site, $this->caller, $urgency ?? $this->urgency);
    }
}
