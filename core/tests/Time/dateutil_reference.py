"""States of hours by python-dateutil, to compare ours with. Reads JSON on standard input, writes JSON.

Band starts come from dateutil.rrule on the wall clock; edges become instants by dateutil.tz, which shifts a time that
does not exist forward (resolve_imaginary: the offset before the gap, as RFC 5545 3.3.5 says) and takes the first of
two (fold=0). Written apart from core/: it shares no code and no algorithm with it.
"""
import json
import sys
from datetime import date, datetime, timedelta, timezone

from dateutil import rrule, tz

UTC = timezone.utc


def instant(zone, day, seconds):
    naive = datetime(day.year, day.month, day.day) + timedelta(seconds=seconds)
    return tz.resolve_imaginary(naive.replace(tzinfo=zone, fold=0)).astimezone(UTC)


def spans(zone, day, bands):
    for start, end, state in bands:
        yield instant(zone, day, start), instant(zone, day, end), state


def latest(candidates, at):
    holding = [(start, order, state) for order, (start, end, state) in enumerate(candidates) if start <= at < end]
    return max(holding)[2] if holding else None


def state_at(hours, zone, at):
    today = at.astimezone(zone).date()
    yesterday = today - timedelta(days=1)
    special = hours['special']
    if str(today) in special:
        found = latest(spans(zone, today, special[str(today)]), at)
        if found is None and str(yesterday) in special:
            found = latest(spans(zone, yesterday, special[str(yesterday)]), at)
        return found or hours['default']
    if str(yesterday) in special:
        found = latest(spans(zone, yesterday, special[str(yesterday)]), at)
        if found:
            return found
    candidates = []
    local = at.astimezone(zone).replace(tzinfo=None)
    for weekday, start, end, state in hours['week']:
        rule = rrule.rrule(rrule.WEEKLY, dtstart=datetime(local.year, local.month, local.day) - timedelta(days=10), byweekday=weekday, byhour=0, byminute=0, bysecond=0)
        for begun in rule.between(local - timedelta(days=3), local + timedelta(days=1), inc=True):
            if begun.date() in (today, yesterday) and str(begun.date()) not in special:
                candidates += list(spans(zone, begun.date(), [(start, end, state)]))
    return latest(sorted(candidates, key=lambda span: span[0]), at) or hours['default']


answers = []
for case in json.load(sys.stdin):
    zone = tz.gettz(case['zone'])
    answers.append([state_at(case, zone, datetime.fromtimestamp(at, UTC)) for at in case['instants']])
json.dump(answers, sys.stdout)
