<?php

declare(strict_types=1);

namespace Meandros\Core\Time\Layer;

use Meandros\Core\Time\Band;
use Meandros\Core\Time\CivilDate;
use Meandros\Core\Time\Decision;
use Meandros\Core\Time\Season;
use Meandros\Core\Time\Timetable;

/** The base week, or the week of the season that a day lies in; where no band covers a time, the default state. */
final class WeekLayer implements Layer
{
    /** @var array<int, int|null> by day */
    private array $seasons = [];

    public function __construct(private readonly Timetable $hours) {}

    public function ground(int $day): Span
    {
        return Span::wholeDay(
            $this->hours->defaultState,
            new Decision(Decision::DEFAULT, $day, season: $this->season($day)?->name),
        );
    }

    public function spans(int $day): array
    {
        $spans = [];
        $season = $this->season($day)?->name;
        foreach ($this->bandsOn($day) as $band) {
            $spans[] = Span::ofBand($band, new Decision(Decision::WEEK, $day, $band, season: $season));
        }

        return $spans;
    }

    public function holdsMidnight(int $day, int $next): bool
    {
        return false;
    }

    /** Days with equal patterns have equal spans, as far as the week goes. */
    public function pattern(int $day): string
    {
        return CivilDate::weekday($day) . ' ' . $this->seasonOn($day) . ' ' . $this->seasonOn($day - 1);
    }

    /** @return list<Band> in order of their start: where a daylight-saving gap makes two meet, the later is the stronger */
    private function bandsOn(int $day): array
    {
        $bands = ($this->season($day)->week ?? $this->hours->week)[CivilDate::weekday($day)] ?? [];
        usort($bands, static fn(Band $a, Band $b): int => $a->fromSeconds <=> $b->fromSeconds);

        return $bands;
    }

    private function season(int $day): ?Season
    {
        $season = $this->seasonOn($day);

        return null === $season ? null : $this->hours->dated->seasons[$season];
    }

    /** @return int|null which of the seasons: two may have the same name */
    private function seasonOn(int $day): ?int
    {
        if ([] === $this->hours->dated->seasons) {
            return null;
        }
        if (!\array_key_exists($day, $this->seasons)) {
            $this->seasons[$day] = null;
            foreach ($this->hours->dated->seasons as $i => $season) {
                if ($season->span->contains($day)) {
                    $this->seasons[$day] = $i;
                }
            }
        }

        return $this->seasons[$day];
    }
}
