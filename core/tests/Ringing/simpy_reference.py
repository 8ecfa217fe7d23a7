"""An independent simulation of overlapping stages with simpy: reads JSON, prints who takes each call and when.

Each case: {"limit": seconds, "alerts": [[phone, from, until, answers after or null], ...]}, in the order of the list.
"""
import json
import sys

import simpy


def ring(env, place, start, until, after, taken):
    yield env.timeout(start)
    if after is None or start + after >= until:
        return
    yield env.timeout(after)
    taken.append((env.now, place))


def run(case):
    env = simpy.Environment()
    taken = []
    for place, (_, start, until, after) in enumerate(case["alerts"]):
        env.process(ring(env, place, start, min(until, case["limit"]), after, taken))
    env.run(until=case["limit"] + 1)
    if not taken:
        return None
    second, place = min(taken)
    return [case["alerts"][place][0], second]


print(json.dumps([run(case) for case in json.load(sys.stdin)]))
