<?php

declare(strict_types=1);

namespace Meandros\Core\Time;

/**
 * Answers "which state, until when, and why" for any instant, compiling ranges as they are needed and widening them
 * until the neighbouring changes are seen.
 */
final class HoursBook
{
    private const DAY = 86400;
    private const FIRST_DAYS = 8;
    /** A change further away than this is reported as none. */
    private const HORIZON_DAYS = 800;

    private ?CompiledHours $compiled = null;

    public function __construct(private readonly Timetable $hours)
    {
    }

    public function read(int $instant): Reading
    {
        for ($days = self::FIRST_DAYS;; $days *= 5) {
            if (null !== $this->compiled && $this->compiled->covers($instant)) {
                $reading = $this->compiled->readingAt($instant);
                if (self::settles($reading, $this->compiled, $instant)) {
                    return $reading;
                }
            }
            $this->compiled = HoursCompiler::compile($this->hours, $instant - $days * self::DAY, $instant + $days * self::DAY);
        }
    }

    private static function settles(Reading $reading, CompiledHours $compiled, int $instant): bool
    {
        $reach = self::HORIZON_DAYS * self::DAY;

        return (null !== $reading->since || $compiled->from <= $instant - $reach)
            && (null !== $reading->until || $compiled->until >= $instant + $reach);
    }
}
