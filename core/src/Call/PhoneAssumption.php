<?php

declare(strict_types=1);

namespace Meandros\Core\Call;

/** What one phone, all phones of one person, or every phone is taken to do, from a second of the call on. */
final readonly class PhoneAssumption
{
    /**
     * @param string   $who          a phone ("per_x/desk"), a person's id, an outside number in E.164, or "*" for every phone
     * @param int|null $afterSeconds how long it has rung when it is answered (in the call, in all) or declined; null for at once, and
     *                               for somebody on a call who does not take a second one
     * @param int      $from         second of the call: ringing that begins later goes so, until something else is said of a later
     *                               second; how long it has rung is counted from then on
     */
    public function __construct(
        public string $who,
        public Behaviour $does,
        public ?int $afterSeconds = null,
        public int $from = 0,
    ) {}
}
