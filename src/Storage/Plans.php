<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

use Meandros\Core\Plan\Plan;

/** Plans by the words that requests use: "draft", "live", or an edition's number. */
final readonly class Plans
{
    public function __construct(private Draft $draft, private Editions $editions) {}

    /** The live plan, or the draft while nothing is published: what is forced is forced on this one. */
    public function known(): Plan
    {
        $live = $this->editions->live();

        return null === $live ? $this->draft->plan() : $this->editions->plan($live);
    }

    /** The draft, with how what is in force beside it is called. */
    public function draft(): DraftReading
    {
        return $this->draft->read();
    }

    /**
     * @param int|null $at Unix seconds: of what is live, the one that is in force then; null for now
     *
     * @throws NotFound
     */
    public function get(string $which, ?int $at = null): Plan
    {
        return match (true) {
            'draft' === $which => $this->draft->plan(),
            'live' === $which => $this->editions->plan(
                $this->editions->live($at) ?? throw new NotFound('Nothing is published yet, so nothing is live.'),
            ),
            1 === preg_match('/^[1-9][0-9]{0,8}$/D', $which) => $this->editions->plan((int) $which),
            default => throw new NotFound(
                \sprintf(
                    'There is no plan "%s". Ask for draft, live, or the number of an edition.',
                    mb_substr($which, 0, 80),
                ),
            ),
        };
    }
}
