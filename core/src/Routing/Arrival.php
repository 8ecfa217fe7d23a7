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

    /**
     * @param string      $element the number, person or hours that were dialled, by id
     * @param string      $label   of what was dialled
     * @param string      $spoken  the language of what was dialled
     * @param string|null $site    of the number; null where it has none
     * @param Tag         $tag     what was put on the call meanwhile
     */
    public function __construct(
        public string $element,
        private string $label,
        private string $spoken,
        public ?string $site,
        public Caller $caller,
        public Tag $tag = new Tag(),
    ) {
        $this->language = $tag->language ?? $spoken;
        $this->urgency = $tag->urgency ?? Urgency::Usual;
        $this->shown = new Shown($tag->label ?? $label, $this->language, $tag->tone, $tag->note);
    }

    /** The same call, with what is put on it from here on. */
    public function tagged(Tag $tag): self
    {
        return new self(
            $this->element,
            $this->label,
            $this->spoken,
            $this->site,
            $this->caller,
            $this->tag->then($tag),
        );
    }
}
