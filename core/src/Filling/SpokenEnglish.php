<?php

declare(strict_types=1);

namespace Meandros\Core\Filling;

final class SpokenEnglish extends Spoken
{
    protected const SMALL = [
        'zero',
        'one',
        'two',
        'three',
        'four',
        'five',
        'six',
        'seven',
        'eight',
        'nine',
        'ten',
        'eleven',
        'twelve',
        'thirteen',
        'fourteen',
        'fifteen',
        'sixteen',
        'seventeen',
        'eighteen',
        'nineteen',
        'twenty',
    ];
    /** Hours of which nobody asks whether morning or evening is meant. */
    private const FROM = 7;
    private const UNTIL = 19;
    private const NOON = 12;

    private ?\NumberFormatter $ordinals = null;

    public function date(int $day): string
    {
        return \sprintf(
            '%s the %s of %s',
            $this->day($day, 'EEEE'),
            $this->ordinal((int) $this->day($day, 'd')),
            $this->day($day, 'MMMM'),
        );
    }

    public function wait(int $minutes): string
    {
        return $minutes <= 1 ? 'about a minute' : \sprintf('about %s minutes', $this->number($minutes));
    }

    public function place(?int $position, ?int $minutes): string
    {
        return implode(' ', [
            ...null === $position ? [] : [\sprintf('You are number %s.', $this->number($position))],
            ...null === $minutes ? [] : [\sprintf('The wait is %s.', $this->wait($minutes))],
        ]);
    }

    protected function near(int $ahead): ?string
    {
        return [0 => 'today', 1 => 'tomorrow'][$ahead] ?? null;
    }

    protected function onWeekday(int $day): string
    {
        return 'on ' . $this->day($day, 'EEEE');
    }

    protected function onDate(int $day): string
    {
        return 'on ' . $this->date($day);
    }

    protected function at(int $minute): string
    {
        [$hour, $past] = [intdiv($minute, self::MINUTES_PER_HOUR), $minute % self::MINUTES_PER_HOUR];

        return match (true) {
            0 === $minute => 'at midnight',
            self::NOON === $hour && 0 === $past => 'at noon',
            default => 'at ' . $this->clock($hour, $past) . self::partOfDay($hour),
        };
    }

    private function clock(int $hour, int $past): string
    {
        $name = fn(int $of): string => $this->number((($of + self::NOON - 1) % self::NOON) + 1);

        return match (true) {
            0 === $past => $name($hour),
            15 === $past => 'a quarter past ' . $name($hour),
            30 === $past => 'half past ' . $name($hour),
            45 === $past => 'a quarter to ' . $name($hour + 1),
            $past < 10 => \sprintf('%s oh %s', $name($hour), $this->number($past)),
            default => \sprintf('%s %s', $name($hour), $this->number($past)),
        };
    }

    private static function partOfDay(int $hour): string
    {
        return match (true) {
            $hour < self::FROM => ' in the morning',
            $hour >= self::UNTIL => ' in the evening',
            default => '',
        };
    }

    private function ordinal(int $number): string
    {
        if (null === $this->ordinals) {
            $this->ordinals = new \NumberFormatter($this->language, \NumberFormatter::SPELLOUT);
            $this->ordinals->setTextAttribute(\NumberFormatter::DEFAULT_RULESET, '%spellout-ordinal');
        }

        return (string) $this->ordinals->format($number);
    }
}
