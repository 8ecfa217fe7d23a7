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

    /** @var array<string, CompiledHours> */
    private array $compiled = [];

    public function read(string $key, Timetable $hours, int $instant): Reading
    {
        for ($days = self::FIRST_DAYS;; $days *= 5) {
            $compiled = $this->compiled[$key] ?? null;
            if (null !== $compiled && $compiled->covers($instant)) {
                $reading = $compiled->readingAt($instant);
                if (self::settles($reading, $compiled, $instant)) {
                    return $reading;
                }
            }
            $this->compiled[$key] = HoursCompiler::compile($hours, $instant - $days * self::DAY, $instant + $days * self::DAY);
        }
    }

    private static function settles(Reading $reading, CompiledHours $compiled, int $instant): bool
    {
        $reach = self::HORIZON_DAYS * self::DAY;

        return (null !== $reading->since || $compiled->from <= $instant - $reach)
            && (null !== $reading->until || $compiled->until >= $instant + $reach);
    }
}
