"""Answers per second of python-dateutil's rrule.before on the same question: the last change before an instant."""
import random
import time
from datetime import datetime, timedelta

from dateutil import rrule

start = datetime(2026, 1, 1)
rule = rrule.rruleset(cache=False)
for hour, minute in ((8, 0), (12, 0), (13, 30), (20, 0)):
    rule.rrule(rrule.rrule(rrule.WEEKLY, dtstart=start, byweekday=range(5), byhour=hour, byminute=minute, bysecond=0))
for hour in (9, 17):
    rule.rrule(rrule.rrule(rrule.WEEKLY, dtstart=start, byweekday=(5, 6), byhour=hour, byminute=0, bysecond=0))
random.seed(1)
instants = [start + timedelta(seconds=random.randrange(5 * 365 * 86400)) for _ in range(40)]
before = time.perf_counter()
for instant in instants:
    rule.before(instant, inc=True)
print(len(instants) / (time.perf_counter() - before))
