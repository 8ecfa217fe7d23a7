"""Teams that are tried again, with simpy: reads JSON, prints who answers and when, or null and when it is given up.

Each case: {"pattern", "limit", "turn", "widen", "minutes", "members": [{"tier", "seconds" or null, "answers" or null}]}.
"""
import json
import sys

import simpy


def bars(case):
    """Who rings from when until when within a round, by the words of docs/ringing.md."""
    start = 0
    for member in case["members"]:
        if case["pattern"] == "one after the other":
            length = case["turn"] if member["seconds"] is None else member["seconds"]
            yield start, min(start + length, case["limit"])
            start += length
        else:
            late = (member["tier"] - 1) * case["widen"] if case["pattern"] == "widening" else 0
            length = case["limit"] if member["seconds"] is None else member["seconds"]
            yield late, min(late + length, case["limit"])


def caller(env, case, result):
    rung = [0] * len(case["members"])
    end = 60 * case["minutes"]
    first = True
    while True:
        begun = env.now
        left = case["limit"] if first else min(case["limit"], end - begun)
        windows = [(start, min(until, left)) for start, until in bars(case)]
        while env.now - begun < max([until for start, until in windows if start < until], default=0):
            second = env.now - begun
            for who, (start, until) in enumerate(windows):
                if start <= second < until and rung[who] == case["members"][who]["answers"]:
                    result.append([who, env.now])
                    return
            for who, (start, until) in enumerate(windows):
                rung[who] += start <= second < until
            yield env.timeout(1)
        pause = max(5, 20 - (env.now - begun))
        if env.now + pause >= end:
            result.append([None, env.now])
            return
        first = False
        yield env.timeout(pause)


def run(case):
    env = simpy.Environment()
    result = []
    env.process(caller(env, case, result))
    env.run()
    return result[0]


print(json.dumps([run(case) for case in json.load(sys.stdin)]))
