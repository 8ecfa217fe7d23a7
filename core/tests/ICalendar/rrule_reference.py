"""Reads JSON [[start, rrule, until], ...] and prints what python-dateutil's rrule names strictly after the start."""
import json
import sys
from datetime import datetime
from itertools import islice, takewhile

from dateutil.rrule import rrulestr

FORMAT = "%Y-%m-%dT%H:%M:%S"
answers = []
for start, rule, until in json.load(sys.stdin):
    first, last = datetime.strptime(start, FORMAT), datetime.strptime(until, FORMAT)
    found = takewhile(lambda one: one < last, rrulestr(rule, dtstart=first).xafter(first))
    answers.append([one.strftime(FORMAT) for one in islice(found, 30)])
print(json.dumps(answers))
