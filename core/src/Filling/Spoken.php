<?php

declare(strict_types=1);

namespace Meandros\Core\Filling;

/**
 * Numbers, days and times as a person says them in a language. Words of large numbers, weekdays and months are ICU's; those of
 * small ones are known, as making ICU's takes longer than a call.
 *
 * @phpstan-sealed SpokenEnglish|SpokenFrench|SpokenOtherwise
 */
abstract class Spoken
{
    protected const MINUTES_PER_HOUR = 60;
    private const SECONDS_PER_DAY = 86400;
    /** Up to so many days ahead a weekday says enough. */
    private const DAYS_BY_NAME = 6;
    /** @var list<string> cardinals from 0 on, in words */
    protected const SMALL = [];

    /** @var array<string, \IntlDateFormatter> by pattern */
    private array $days = [];
    private ?\NumberFormatter $cardinals = null;

    final protected function __construct(protected readonly string $language) {}

    /** @param string $language two letters; English and French are said as people say them, others as ICU writes them */
    public static function in(string $language): self
    {
        /** @var array<string, self> $known */
        static $known = [];

        return $known[$language] ??= match ($language) {
            'en' => new SpokenEnglish($language),
            'fr' => new SpokenFrench($language),
            default => new SpokenOtherwise($language),
        };
    }

    /** "tomorrow at eight": an instant of a day, seen from another one. Days are counted since 1970. */
    final public function moment(int $today, int $day, int $minute): string
    {
        $ahead = $day - $today;
        $on =
            $this->near($ahead) ??
            ($ahead >= 0 && $ahead <= self::DAYS_BY_NAME ? $this->onWeekday($day) : $this->onDate($day));

        return $on . ' ' . $this->at($minute);
    }

    abstract public function date(int $day): string;

    /** @param int $minutes begun */
    abstract public function wait(int $minutes): string;

    /**
     * What a queue tells whoever waits: "You are number three. The wait is about five minutes."; empty in languages without
     * rules of their own.
     *
     * @param int|null $position from 1; null where it is not told
     * @param int|null $minutes  begun; null where they are not told
     */
    abstract public function place(?int $position, ?int $minutes): string;

    /** Cardinal, in words. */
    final public function number(int $number): string
    {
        if (isset(static::SMALL[$number])) {
            return static::SMALL[$number];
        }
        $this->cardinals ??= new \NumberFormatter($this->language, \NumberFormatter::SPELLOUT);

        return (string) $this->cardinals->format($number);
    }

    /** A word for the day so many days ahead; null where there is none. */
    abstract protected function near(int $ahead): ?string;

    abstract protected function onWeekday(int $day): string;

    abstract protected function onDate(int $day): string;

    /** @param int $minute of the day */
    abstract protected function at(int $minute): string;

    /** @param string $pattern of ICU's date format: "EEEE" for the weekday */
    final protected function day(int $day, string $pattern): string
    {
        $this->days[$pattern] ??= new \IntlDateFormatter(
            $this->language,
            \IntlDateFormatter::NONE,
            \IntlDateFormatter::NONE,
            'UTC',
            null,
            $pattern,
        );

        return (string) $this->days[$pattern]->format($day * self::SECONDS_PER_DAY);
    }
}
