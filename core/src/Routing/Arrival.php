<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

use Meandros\Core\Call\Caller;
use Meandros\Core\Call\Tag;
use Meandros\Core\Call\Urgency;

/** How a call came in, the last time that it did: by what was dialled, and from whom as far as that line tells. */
final readonly class Arrival
{
    public string $language;
    public Urgency $urgency;
    public Shown $shown;

    /** @param Tag $tag what was put on the call meanwhile */
    public function __construct(public EntryPoint $at, public Caller $caller, public Tag $tag = new Tag())
    {
        $this->language = $tag->language ?? $at->language;
        $this->urgency = $tag->urgency ?? Urgency::Usual;
        $this->shown = new Shown($tag->label ?? $at->label, $this->language, $tag->tone, $tag->note);
    }

    /** The same call, with what is put on it from here on. */
    public function tagged(Tag $tag): self
    {
        return new self($this->at, $this->caller, $this->tag->then($tag));
    }
}
