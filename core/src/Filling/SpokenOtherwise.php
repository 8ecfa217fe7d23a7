<?php

declare(strict_types=1);

namespace Meandros\Core\Filling;

/** A language without rules of its own here: days and times as ICU writes them, which the machine voice reads. */
final class SpokenOtherwise extends Spoken
{
    public function date(int $day): string
    {
        return $this->day($day, (string) (new \IntlDatePatternGenerator($this->language))->getBestPattern('EEEEdMMMM'));
    }

    public function wait(int $minutes): string
    {
        return max(1, $minutes) . ' min';
    }

    public function place(?int $position, ?int $minutes): string
    {
        return '';
    }

    protected function near(int $ahead): ?string
    {
        return null;
    }

    protected function onWeekday(int $day): string
    {
        return $this->day($day, 'EEEE');
    }

    protected function onDate(int $day): string
    {
        return $this->date($day);
    }

    protected function at(int $minute): string
    {
        return \sprintf('%02d:%02d', intdiv($minute, self::MINUTES_PER_HOUR), $minute % self::MINUTES_PER_HOUR);
    }
}
