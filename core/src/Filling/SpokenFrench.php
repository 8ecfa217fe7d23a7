<?php

declare(strict_types=1);

namespace Meandros\Core\Filling;

final class SpokenFrench extends Spoken
{
    protected const SMALL = [
        'zéro',
        'un',
        'deux',
        'trois',
        'quatre',
        'cinq',
        'six',
        'sept',
        'huit',
        'neuf',
        'dix',
        'onze',
        'douze',
        'treize',
        'quatorze',
        'quinze',
        'seize',
        'dix-sept',
        'dix-huit',
        'dix-neuf',
        'vingt',
    ];
    private const NOON = 12;

    public function date(int $day): string
    {
        $number = (int) $this->day($day, 'd');

        return \sprintf(
            '%s %s %s',
            $this->day($day, 'EEEE'),
            1 === $number ? 'premier' : $this->number($number),
            $this->day($day, 'MMMM'),
        );
    }

    public function wait(int $minutes): string
    {
        return $minutes <= 1 ? 'environ une minute' : \sprintf('environ %s minutes', $this->feminine($minutes));
    }

    public function place(?int $position, ?int $minutes): string
    {
        return implode(' ', [
            ...null === $position ? [] : [\sprintf('Vous êtes le numéro %s.', $this->number($position))],
            ...null === $minutes ? [] : [\sprintf('L’attente est d’%s.', $this->wait($minutes))],
        ]);
    }

    protected function near(int $ahead): ?string
    {
        return [0 => 'aujourd’hui', 1 => 'demain'][$ahead] ?? null;
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
        [$hour, $past] = [intdiv($minute, self::MINUTES_PER_HOUR), $minute % self::MINUTES_PER_HOUR];
        $name = match (true) {
            0 === $hour => 'minuit',
            self::NOON === $hour => 'midi',
            1 === $hour => 'une heure',
            default => $this->feminine($hour) . ' heures',
        };

        return 'à ' .
            match (true) {
                0 === $past => $name,
                30 === $past => $name . (0 === $hour % self::NOON ? ' et demi' : ' et demie'),
                default => $name . ' ' . $this->feminine($past),
            };
    }

    /** Hours and minutes are feminine: "vingt-et-une heures". */
    private function feminine(int $number): string
    {
        return (string) preg_replace('/\bun$/u', 'une', $this->number($number));
    }
}
