"""Usual weeks and days without anybody, by python-dateutil alone: rrule for the bands of a week, tz for the clock.

A case has a zone, a year, bands by weekday (0 is Monday; seconds since midnight) and dates on which nobody is there. Answers
seconds in the middle one of the whole weeks from Monday on, the days, and the days on which nobody may be reached.
"""
import json
import sys
from datetime import datetime, timedelta

from dateutil.rrule import DAILY, WEEKLY, rrule
from dateutil.tz import gettz, resolve_imaginary


def instant(day, seconds, zone):
    # A time that does not exist is read with the offset before the gap; one that exists twice is the first (RFC 5545, 3.3.5).
    return resolve_imaginary((day + timedelta(seconds=seconds)).replace(tzinfo=zone, fold=0)).timestamp()


def answer(case):
    zone = gettz(case["zone"])
    first, last = datetime(case["year"], 1, 1), datetime(case["year"], 12, 31)
    shut = {datetime.fromisoformat(date) for date in case["shut"]}
    seconds = {day: 0 for day in rrule(DAILY, dtstart=first, until=last)}
    for weekday, bands in enumerate(case["week"]):
        for day in rrule(WEEKLY, byweekday=weekday, dtstart=first, until=last):
            if day not in shut:
                seconds[day] += sum(instant(day, to, zone) - instant(day, start, zone) for start, to in bands)
    weeks = [
        sum(seconds[monday + timedelta(days=i)] for i in range(7))
        for monday in rrule(WEEKLY, byweekday=0, dtstart=first, until=last - timedelta(days=6))
    ]
    return [sorted(weeks)[len(weeks) // 2], len(seconds), sum(1 for one in seconds.values() if one == 0)]


print(json.dumps([answer(case) for case in json.load(sys.stdin)]))
