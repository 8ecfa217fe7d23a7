<?php

declare(strict_types=1);

namespace Meandros\Core\Live;

use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\PlanHours;
use Meandros\Core\Time\Override;

/** Finds overrides that somebody may have forgotten: closed past the next opening, or open past the next closing. */
final readonly class Outlasting
{
    /** Changes looked at: more than a week of busy hours. */
    private const MOST_CHANGES = 100;

    /** @param PlanHours $usual the hours as they would be with nothing forced */
    public function __construct(private PlanHours $usual) {}

    /**
     * The first instant after now at which the usual hours would open (under a closed state) or close (under an open
     * one) while the override still holds; null when it ends before that.
     */
    public function opening(Hours $hours, Override $override, int $now): ?int
    {
        $forcedOpen = $hours->isOpen($override->state);
        $instant = max($now, $override->from);
        $reading = $this->usual->read($hours, $instant);
        for ($i = 0; $i < self::MOST_CHANGES && null !== $reading->until; ++$i) {
            $wasOpen = $hours->isOpen($reading->state);
            $instant = $reading->until;
            if (!$override->holdsAt($instant)) {
                return null;
            }
            $reading = $this->usual->read($hours, $instant);
            $isOpen = $hours->isOpen($reading->state);
            if ($isOpen !== $wasOpen && $isOpen !== $forcedOpen) {
                return $instant;
            }
        }

        return null;
    }
}
