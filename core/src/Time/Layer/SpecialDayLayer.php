<?php

declare(strict_types=1);

namespace Meandros\Core\Time\Layer;

use Meandros\Core\Time\Band;
use Meandros\Core\Time\Decision;
use Meandros\Core\Time\Origin;
use Meandros\Core\Time\SpecialDay;
use Meandros\Core\Time\TimeOfDay;

/** Special days: each takes its whole date, and its bands may run on into the next. */
final readonly class SpecialDayLayer implements Layer
{
    /** @param array<int, SpecialDay> $specialDays by day */
    public function __construct(private array $specialDays, private string $defaultState) {}

    public function ground(int $day): ?Span
    {
        $special = $this->specialDays[$day] ?? null;

        return null === $special ? null : Span::wholeDay($this->defaultState, self::decision($special, null));
    }

    public function spans(int $day): array
    {
        $spans = [];
        foreach ($this->specialDays[$day]->bands ?? [] as $band) {
            $spans[] = Span::ofBand($band, self::decision($this->specialDays[$day], $band));
        }

        return $spans;
    }

    public function holdsMidnight(int $day, int $next): bool
    {
        if (isset($this->specialDays[$day]) || isset($this->specialDays[$next])) {
            return true;
        }
        foreach ($this->specialDays[$day - 1]->bands ?? [] as $band) {
            if (TimeOfDay::LATEST === $band->toSeconds) {
                return true;
            }
        }

        return false;
    }

    private static function decision(SpecialDay $special, ?Band $band): Decision
    {
        return new Decision(Decision::SPECIAL_DAY, $special->day, $band, new Origin($special->name));
    }
}
