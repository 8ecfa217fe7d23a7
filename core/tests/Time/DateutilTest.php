<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Time;

use Meandros\Core\Tests\PythonReference;
use Meandros\Core\Time\Band;
use Meandros\Core\Time\CivilDate;
use Meandros\Core\Time\HoursBook;
use Meandros\Core\Time\HoursCompiler;
use Meandros\Core\Time\Moment;
use Meandros\Core\Time\SpecialDay;
use Meandros\Core\Time\Timetable;
use PHPUnit\Framework\TestCase;

/** Against python-dateutil (Debian's python3-dateutil): random hours, random instants over a year, and every edge of some days. */
final class DateutilTest extends TestCase
{
    private const ZONES = ['Europe/London', 'Europe/Paris', 'America/New_York', 'America/St_Johns', 'America/Santiago', 'Australia/Lord_Howe', 'Pacific/Chatham', 'Asia/Kathmandu', 'Asia/Beirut', 'Atlantic/Azores'];

    public function testRandomHoursAgree(): void
    {
        mt_srand(20261123);
        $cases = $ours = [];
        for ($i = 0; $i < 60; ++$i) {
            [$case, $timetable] = self::random(self::ZONES[$i % \count(self::ZONES)]);
            $case['instants'] = self::instants($timetable);
            $cases[] = $case;
            $book = new HoursBook($timetable);
            $ours[] = array_map(static fn (int $at): string => $book->read($at)->state, $case['instants']);
        }
        $theirs = PythonReference::ask(__DIR__.'/dateutil_reference.py', $cases);
        foreach ($cases as $i => $case) {
            foreach ($case['instants'] as $j => $at) {
                self::assertSame($theirs[$i][$j], $ours[$i][$j], \sprintf('%s at %s in %s', json_encode([$case['week'], $case['special']], \JSON_THROW_ON_ERROR), Moment::format($at, $case['zone']), $case['zone']));
            }
        }
    }

    /** @return list<int> at random over 2026, and the edges of the weeks in which clocks change, with the second before each */
    private static function instants(Timetable $hours): array
    {
        $year = (int) gmmktime(0, 0, 0, 1, 1, 2026);
        $instants = [];
        for ($i = 0; $i < 40; ++$i) {
            $instants[] = $year + mt_rand(0, 365 * 86400);
        }
        foreach ((new \DateTimeZone($hours->zone))->getTransitions($year, $year + 365 * 86400) as $i => $transition) {
            if (0 === $i) {
                continue;
            }
            $compiled = HoursCompiler::compile($hours, $transition['ts'] - 86400, $transition['ts'] + 2 * 86400);
            foreach ($compiled->starts as $start) {
                array_push($instants, $start - 1, $start);
            }
            array_push($instants, $transition['ts'] - 1, $transition['ts'], $transition['ts'] + 1800);
        }

        return $instants;
    }

    /** @return array{array<string, mixed>, Timetable} the same hours for the reference and for us */
    private static function random(string $zone): array
    {
        $week = $weekRows = [];
        for ($day = 0; $day < 7; ++$day) {
            $last = 6 === $day ? 96 : 112;
            $at = 0 === $day ? mt_rand(0, 8) : max(mt_rand(0, 8), intdiv(self::spill($week[$day - 1] ?? []), 900));
            while ($at < 92) {
                $end = min($at + mt_rand(1, 40), $last);
                $band = new Band($at * 900, $end * 900, ['open', 'lunch', 'late'][mt_rand(0, 2)]);
                $week[$day][] = $band;
                $weekRows[] = [$day, $band->fromSeconds, $band->toSeconds, $band->state];
                $at = $end + mt_rand(0, 6);
            }
        }
        $special = $specialRows = [];
        for ($i = 0; $i < 40; ++$i) {
            $day = intdiv((int) gmmktime(0, 0, 0, 1, 1, 2026), 86400) + mt_rand(0, 364);
            $from = mt_rand(0, 80) * 900;
            $band = new Band($from, $from + mt_rand(1, 60) * 900, 'special');
            $special[$day] = new SpecialDay($day, 'special', [$band]);
            $specialRows[CivilDate::format($day)] = [[$band->fromSeconds, $band->toSeconds, $band->state]];
        }

        return [['zone' => $zone, 'week' => $weekRows, 'special' => $specialRows, 'default' => 'closed'], new Timetable($zone, 'closed', $week, specialDays: $special)];
    }

    /** @param list<Band> $bands */
    private static function spill(array $bands): int
    {
        return [] === $bands ? 0 : max(0, $bands[\count($bands) - 1]->toSeconds - 86400);
    }
}
