<?php

declare(strict_types=1);

namespace Meandros\Core\Time\Layer;

use Meandros\Core\Time\Band;
use Meandros\Core\Time\Decision;
use Meandros\Core\Time\SpecialDay;

/** Special days: each takes its whole date, and its bands may run on into the next. */
final readonly class SpecialDayLayer implements Layer
{
    /** @param array<int, SpecialDay> $specialDays by day */
    public function __construct(private array $specialDays, private string $defaultState)
    {
    }

    public function spansOn(int $day): array
    {
        $special = $this->specialDays[$day] ?? null;
        $before = $this->specialDays[$day - 1] ?? null;
        $spans = null === $special ? [] : [Span::wholeDay($this->defaultState, self::decision($special, null))];
        if (null !== $before) {
            foreach ($before->bands as $band) {
                if ($band->runsPastMidnight()) {
                    $spans[] = Span::spilled($band, self::decision($before, $band));
                }
            }
        }
        if (null !== $special) {
            foreach ($special->bands as $band) {
                $spans[] = Span::ofBand($band, self::decision($special, $band));
            }
        }

        return $spans;
    }

    public function holdsMidnightAfter(int $day): bool
    {
        return isset($this->specialDays[$day]);
    }

    private static function decision(SpecialDay $special, ?Band $band): Decision
    {
        return new Decision(Decision::SPECIAL_DAY, $special->day, $band, $special->name);
    }
}
