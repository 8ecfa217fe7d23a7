"""An independent simulation of overlapping stages with simpy: reads JSON, prints who takes each call and when.

Each case: {"limit": seconds, "alerts": [[phone, from, until, answers after or null], ...]}, in the order of the list.
"""
import json
import sys

import simpy


def ring(env, place, windows, after, limit, taken):
    """A phone rings in the union of its windows, and is answered once it has rung for so long in all."""
    rung = 0
    while env.now < limit:
        if any(start <= env.now < until for start, until in windows):
            if after is not None and rung == after:
                taken.append((env.now, place))
                return
            rung += 1
        yield env.timeout(1)


def run(case):
    env = simpy.Environment()
    phones = {}
    for phone, start, until, after in case["alerts"]:
        if start < case["limit"]:
            phones.setdefault(phone, (after, []))[1].append((start, until))
    taken = []
    for place, (after, windows) in enumerate(phones.values()):
        env.process(ring(env, place, windows, after, case["limit"], taken))
    env.run(until=case["limit"] + 1)
    if not taken:
        return None
    second, place = min(taken)
    return [list(phones)[place], second]


print(json.dumps([run(case) for case in json.load(sys.stdin)]))
