<?php

declare(strict_types=1);

namespace Meandros\Core\Call;

/** A call to try: what is dialled, from whom, and when. */
final readonly class TrialCall
{
    /** No call goes on for longer. */
    public const MOST_SECONDS = 14_400;

    /**
     * @param string $dialled a number of the plan in E.164, or an extension
     * @param int    $instant Unix seconds at which the call arrives
     */
    public function __construct(public string $dialled, public Caller $caller, public int $instant) {}

    public function to(string $dialled): self
    {
        return new self($dialled, $this->caller, $this->instant);
    }

    public function at(int $instant): self
    {
        return new self($this->dialled, $this->caller, $instant);
    }
}
