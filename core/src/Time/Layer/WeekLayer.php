<?php

declare(strict_types=1);

namespace Meandros\Core\Time\Layer;

use Meandros\Core\Time\Band;
use Meandros\Core\Time\CivilDate;
use Meandros\Core\Time\Decision;
use Meandros\Core\Time\Season;
use Meandros\Core\Time\Timetable;

/** The base week, or the week of the season that a day lies in; where no band covers a time, the default state. */
final class WeekLayer
{
    /** @var array<int, Season|null> by day */
    private array $seasons = [];

    public function __construct(private readonly Timetable $hours)
    {
    }

    /**
     * @param bool $spills whether bands of the day before run on past midnight
     *
     * @return list<Span> the weakest first
     */
    public function spansOn(int $day, bool $spills): array
    {
        $season = $this->seasonOn($day);
        $spans = [Span::wholeDay($this->hours->defaultState, new Decision(Decision::DEFAULT, $day, season: $season?->name))];
        foreach ($spills ? $this->bandsOn($day - 1) : [] as $band) {
            if ($band->runsPastMidnight()) {
                $spans[] = Span::spilled($band, $this->decision($day - 1, $band));
            }
        }
        foreach ($this->bandsOn($day) as $band) {
            $spans[] = Span::ofBand($band, $this->decision($day, $band));
        }

        return $spans;
    }

    /** Days with equal patterns have equal spans, as far as the week goes. */
    public function pattern(int $day): string
    {
        return CivilDate::weekday($day).' '.$this->seasonOn($day)?->name.' '.$this->seasonOn($day - 1)?->name;
    }

    /** @return list<Band> in order of their start: where a daylight-saving gap makes two meet, the later is the stronger */
    private function bandsOn(int $day): array
    {
        $bands = ($this->seasonOn($day)->week ?? $this->hours->week)[CivilDate::weekday($day)] ?? [];
        usort($bands, static fn (Band $a, Band $b): int => $a->fromSeconds <=> $b->fromSeconds);

        return $bands;
    }

    private function decision(int $day, Band $band): Decision
    {
        return new Decision(Decision::WEEK, $day, $band, season: $this->seasonOn($day)?->name);
    }

    private function seasonOn(int $day): ?Season
    {
        if ([] === $this->hours->seasons) {
            return null;
        }
        if (!\array_key_exists($day, $this->seasons)) {
            $this->seasons[$day] = null;
            foreach ($this->hours->seasons as $season) {
                if ($season->span->contains($day)) {
                    $this->seasons[$day] = $season;
                }
            }
        }

        return $this->seasons[$day];
    }
}
