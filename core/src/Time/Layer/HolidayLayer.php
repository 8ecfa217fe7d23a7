<?php

declare(strict_types=1);

namespace Meandros\Core\Time\Layer;

use Meandros\Core\Time\Band;
use Meandros\Core\Time\CivilDate;
use Meandros\Core\Time\Decision;
use Meandros\Core\Time\ObservedCalendar;
use Meandros\Core\Time\Origin;
use Meandros\Core\Time\TimeOfDay;

/** The holidays of the calendars that hours keep: an earlier calendar is the stronger, and so is an earlier entry. */
final class HolidayLayer implements Layer
{
    /** @var array<int, array<int, list<Span>>> by year, by day */
    private array $years = [];

    /** @param list<ObservedCalendar> $calendars */
    public function __construct(private readonly array $calendars) {}

    public function ground(int $day): ?Span
    {
        return null;
    }

    public function spans(int $day): array
    {
        if ([] === $this->calendars) {
            return [];
        }
        $year = CivilDate::year($day);

        return ($this->years[$year] ??= $this->year($year))[$day] ?? [];
    }

    public function holdsMidnight(int $day, int $next): bool
    {
        foreach ($this->spans($day) as $span) {
            if (TimeOfDay::DAY === $span->toSeconds) {
                return true;
            }
        }
        foreach ($this->spans($next) as $span) {
            if (0 === $span->fromSeconds) {
                return true;
            }
        }

        return false;
    }

    /** @return array<int, list<Span>> by day, the weakest first */
    private function year(int $year): array
    {
        $days = [];
        foreach (array_reverse($this->calendars) as $calendar) {
            foreach (
                array_reverse($calendar->holidays->between(CivilDate::of($year, 1, 1), CivilDate::of($year + 1, 1, 1)))
                as $occasion
            ) {
                $state = $calendar->stateOn($occasion->holiday);
                if (null !== $state) {
                    $band = new Band(
                        $occasion->holiday->part->fromSeconds,
                        $occasion->holiday->part->toSeconds,
                        $state,
                    );
                    $days[$occasion->day][] = Span::ofBand(
                        $band,
                        new Decision(
                            Decision::HOLIDAY,
                            $occasion->day,
                            $band,
                            new Origin($occasion->name(), $calendar->id, $calendar->name),
                        ),
                    );
                }
            }
        }

        return $days;
    }
}
