<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Json;

use Meandros\Core\Plan\Element\About;
use Meandros\Core\Plan\Element\CalendarUse;
use Meandros\Core\Plan\Element\Clock;
use Meandros\Core\Plan\Element\DialCode;
use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\HoursDays;
use Meandros\Core\Plan\Element\HoursStates;
use Meandros\Core\Plan\Element\OverrideEnd;
use Meandros\Core\Plan\Element\SeasonWeek;
use Meandros\Core\Plan\Element\State;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;
use Meandros\Core\Time\CivilDate;
use Meandros\Core\Time\SpecialDay;

/** Reads hours from JSON. */
final class HoursReader
{
    public static function read(Input $in): Hours
    {
        $in->onlyFields([
            ...About::FIELDS,
            'site',
            'zone',
            'states',
            'default',
            'week',
            'seasons',
            'calendars',
            'specialDays',
            'codes',
        ]);
        $states = self::states($in->field('states'));
        $bands = new BandReader(array_map(static fn(State $state): string => $state->key, $states));
        $zone = $in->field('zone')->isGiven() ? ZoneReader::read($in->field('zone')) : null;

        return new Hours(
            About::fromJson($in),
            new Clock($in->field('site')->text(Limits::ID), $zone),
            new HoursStates($states, $bands->state($in->field('default')), self::codes($in->field('codes'), $bands)),
            new HoursDays(
                $bands->week($in->field('week')),
                self::seasons($in->field('seasons'), $bands),
                self::calendars($in->field('calendars'), $bands),
                self::specialDays($in->field('specialDays'), $bands),
            ),
        );
    }

    /** @return non-empty-list<State> */
    private static function states(Input $in): array
    {
        $states = $names = [];
        foreach ($in->items(Limits::STATES) as $item) {
            $state = State::fromJson($item);
            if (isset($states[$state->key])) {
                $item->field('key')->complain('state-key-twice');
            }
            $name = mb_strtolower($state->name);
            if (isset($names[$name]) && '' !== $name) {
                $item->field('name')->complain('state-name-twice', ['name' => $state->name]);
            }
            $names[$name] = true;
            $states[$state->key] = $state;
        }
        if ([] === $states) {
            $in->complain('states-missing');

            return [new State('closed', 'Closed', false)];
        }

        return array_values($states);
    }

    /** @return list<SeasonWeek> */
    private static function seasons(Input $in, BandReader $bands): array
    {
        $seasons = [];
        foreach ($in->items(Limits::SEASONS) as $item) {
            $item->onlyFields(['name', 'from', 'to', 'week']);
            $name = $item->field('name')->text(Limits::SHORT_NAME);
            $span = DateReader::span($item);
            $week = $bands->week($item->field('week'));
            if (null === $span) {
                continue;
            }
            foreach ($seasons as $other) {
                $day = $span->meets($other->span);
                if (null !== $day) {
                    $item
                        ->field('from')
                        ->complain(
                            $span->recurs() && $other->span->recurs() ? 'seasons-overlap-yearly' : 'seasons-overlap',
                            [
                                'name' => $name,
                                'other' => $other->name,
                                'day' => $day * 86400,
                            ],
                        );
                }
            }
            $seasons[] = new SeasonWeek($name, $span, $week);
        }

        return $seasons;
    }

    /** @return list<CalendarUse> */
    private static function calendars(Input $in, BandReader $bands): array
    {
        $uses = [];
        foreach ($in->items(Limits::CALENDARS) as $item) {
            $item->onlyFields(['calendar', 'state', 'exceptions']);
            $exceptions = [];
            foreach ($item->field('exceptions')->items(Limits::EXCEPTIONS) as $exception) {
                $exception->onlyFields(['holiday', 'state']);
                $holiday = $exception->field('holiday')->id();
                if (\array_key_exists($holiday, $exceptions)) {
                    $exception->field('holiday')->complain('holiday-state-twice');
                }
                $exceptions[$holiday] =
                    null === $exception->field('state')->reference() ? null : $bands->state($exception->field('state'));
            }
            $calendar = $item->field('calendar')->text(Limits::ID);
            if (isset($uses[$calendar])) {
                $item->field('calendar')->complain('calendar-twice');
            }
            $uses[$calendar] = new CalendarUse($calendar, $bands->state($item->field('state')), $exceptions);
        }

        return array_values($uses);
    }

    /** @return list<SpecialDay> in order of date */
    private static function specialDays(Input $in, BandReader $bands): array
    {
        $days = [];
        foreach ($in->items(Limits::SPECIAL_DAYS) as $item) {
            $item->onlyFields(['date', 'name', 'bands']);
            $day = DateReader::date($item->field('date'));
            if (null === $day) {
                continue;
            }
            if (isset($days[$day])) {
                $item->field('date')->complain('special-day-twice');
            }
            $days[$day] = new SpecialDay(
                $day,
                $item->field('name')->text(),
                $bands->day($item->field('bands'), CivilDate::format($day)),
            );
        }
        ksort($days);

        return array_values($days);
    }

    /** @return list<DialCode> */
    private static function codes(Input $in, BandReader $bands): array
    {
        $codes = [];
        foreach ($in->items(Limits::CODES) as $item) {
            $item->onlyFields(['code', 'state', 'ends']);
            $code = $item->field('code')->exactText(8);
            if ('' !== $code && 1 !== preg_match(DialCode::PATTERN, $code)) {
                $item->field('code')->complain('not-a-dialled-code', ['code' => $code]);
            }
            if (isset($codes[$code])) {
                $item->field('code')->complain('dialled-code-twice');
            }
            /** @var OverrideEnd $ends */
            $ends = $item->field('ends')->oneOf(OverrideEnd::class, OverrideEnd::Lifted);
            $codes[$code] = new DialCode(
                $code,
                null === $item->field('state')->reference() ? null : $bands->state($item->field('state')),
                $ends,
            );
        }

        return array_values($codes);
    }
}
