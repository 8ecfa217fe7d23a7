"""States of hours by Python's zoneinfo and dateutil, written from docs/hours-and-holidays.md alone. JSON in, JSON out.

Edges become instants by zoneinfo with fold=0 (PEP 495): the first of two, and in a gap the offset before it, as RFC 5545
3.3.5 says. (dateutil's own zones take the second of two in Morocco's winter and Troll's.) A midnight is the first instant
of its date, found by trying. It asks for one instant at a time and shares no code and no algorithm with core/.
"""
import json
import sys
from datetime import date, datetime, timedelta, timezone
from functools import lru_cache

from zoneinfo import ZoneInfo

from dateutil import easter

UTC = timezone.utc
DAY = timedelta(days=1)


@lru_cache(maxsize=None)
def zone_of(name):
    return ZoneInfo(name)


@lru_cache(maxsize=None)
def midnight(name, day):
    """The first instant whose local date is the day, or the first one of a later date where the zone skips it."""
    zone = zone_of(name)
    low = datetime(day.year, day.month, day.day, tzinfo=UTC) - timedelta(hours=40)
    high = low + timedelta(hours=80)
    # Once the date has come it does not go: bisect on "the date has come", by the second.
    while high - low > timedelta(seconds=1):
        middle = low + timedelta(seconds=int((high - low).total_seconds()) // 2)
        if came(zone, middle, day):
            high = middle
        else:
            low = middle
    return high


def came(zone, at, day):
    # Clocks put back over midnight show the date before once more: it came all the same.
    return any((at - timedelta(minutes=back)).astimezone(zone).date() >= day for back in range(0, 181, 1)) if near_change(zone, at) else at.astimezone(zone).date() >= day


def near_change(zone, at):
    return at.astimezone(zone).utcoffset() != (at - timedelta(hours=3)).astimezone(zone).utcoffset()


def edge(name, day, seconds):
    if seconds % 86400 == 0:
        return midnight(name, day + DAY * (seconds // 86400))
    naive = datetime(day.year, day.month, day.day) + timedelta(seconds=seconds)
    return naive.replace(tzinfo=zone_of(name), fold=0).astimezone(UTC)


def exists(name, day):
    return midnight(name, day) < midnight(name, day + DAY)


def holding(name, day, bands, at):
    """The state of the band of a date that holds at an instant; the later start where a gap makes two meet."""
    found = [(start, state) for start, end, state in bands if edge(name, day, start) <= at < edge(name, day, end)]
    return max(found)[1] if found else None


def week_on(case, day):
    for season in case['seasons']:
        if in_span(season['from'], season['to'], day):
            return season['week']
    return case['week']


def in_span(start, end, day):
    if len(start) == 10:
        return date.fromisoformat(start) <= day <= date.fromisoformat(end)
    here = day.strftime('%m-%d')
    return start <= here <= end if start <= end else here >= start or here <= end


def named(calendar, year):
    for entry in calendar['entries']:
        rule = entry['rule']
        if rule['on'] == 'yearly':
            try:
                yield date.fromisoformat('%d-%s' % (year, rule['date'])), entry
            except ValueError:
                pass
        elif rule['on'] == 'easter':
            yield easter.easter(year) + timedelta(days=rule['days']), entry
        else:
            for text in rule['dates']:
                if text.startswith(str(year)):
                    yield date.fromisoformat(text), entry


def occasions(calendar, key, cache={}):
    """Every day of the years around on which the calendar keeps something: day → entries, the strongest first."""
    if key in cache:
        return cache[key]
    every = sorted(((day, place, entry) for year in range(calendar['years'][0] - 1, calendar['years'][1] + 2) for place, (day, entry) in enumerate(named(calendar, year))), key=lambda one: (one[0], calendar['entries'].index(one[2])))
    taken = {day for day, _, _ in every}
    kept = {}
    for day, _, entry in every:
        substitute = entry['substitute']
        if substitute is None or day.weekday() not in substitute['on']:
            kept.setdefault(day, []).append(entry)
            continue
        if substitute['keep']:
            kept.setdefault(day, []).append(entry)
        moved = day + DAY
        while moved.weekday() > 4 or moved in taken:
            moved += DAY
        taken.add(moved)
        kept.setdefault(moved, []).append(entry)
    for entries in kept.values():
        entries.sort(key=calendar['entries'].index)
    cache[key] = kept
    return kept


def holidays_on(case, day):
    for i, calendar in enumerate(case['calendars']):
        for entry in occasions(calendar, (case['number'], i)).get(day, []):
            yield entry['part'][0], entry['part'][1], calendar['state']


def special_on(case, day):
    return case['special'].get(str(day))


def stopped(case, before, today):
    """Whether something stronger than the week holds the midnight between two dates."""
    if special_on(case, before) is not None or special_on(case, today) is not None:
        return True
    if any(end == 172800 for _, end, _ in special_on(case, before - DAY) or []):
        return True
    return any(end == 86400 for _, end, _ in holidays_on(case, before)) or any(start == 0 for start, _, _ in holidays_on(case, today))


def state_at(case, second):
    at = datetime.fromtimestamp(second, UTC)
    for override in reversed(case['overrides']):
        if override['from'] <= second and (override['until'] is None or second < override['until']):
            return override['state']
    name = case['zone']
    today = at.astimezone(zone_of(name)).date()
    # The date whose first instant came last: where clocks are put back over midnight that is the later one.
    if at >= midnight(name, today + DAY):
        today += DAY
    before = today - DAY
    while not exists(name, before):
        before -= DAY
    special, special_before = special_on(case, today), special_on(case, before)
    for day, bands in ((today, special), (before, special_before)):
        state = holding(name, day, bands or [], at)
        if state is not None:
            return state
    if special is not None:
        return case['default']
    for day in (today, before):
        for start, end, state in holidays_on(case, day):
            if edge(name, day, start) <= at < edge(name, day, end):
                return state
    state = holding(name, today, week_on(case, today)[today.weekday()], at)
    if state is None and not stopped(case, before, today):
        state = holding(name, before, week_on(case, before)[before.weekday()], at)
    return state or case['default']


print(json.dumps([[state_at(case, second) for second in case['instants']] for case in json.load(sys.stdin)]))
