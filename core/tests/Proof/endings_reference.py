"""Every ending of a call, path by path, written from docs/plan-format.md, docs/menus.md and docs/ringing.md alone. JSON in, JSON out.

It knows say, menu, ring (one person with one desk phone), message, go, hours and end, and no more. It follows every path by
itself, keeps no places, and shares no code and no algorithm with core/.
"""
import json
import math
import sys

KEYS = "123456789*0#"


def seconds_of(prompt):
    """Counted at 150 words a minute, whole seconds, rounded up."""
    return math.ceil(len(prompt.split()) * 60 / 150)


def state(hours, day, minute):
    for band in hours["week"]:
        if day in band["days"] and clock(band["from"]) <= minute < clock(band["to"]):
            return band["state"]
    return hours["default"]


def clock(text):
    return int(text[:2]) * 60 + int(text[3:])


class Call:
    def __init__(self, case):
        self.plan = {one["id"]: one for one in case["elements"]}
        self.day, self.minute = case["day"], case["minute"]

    def outcomes(self, step):
        """What may come of a step: ("exit", name), ("end", ending), ("go",) or ("on",), from so many seconds to so many."""
        kind = step["do"]
        if kind == "say":
            length = seconds_of(self.plan[step["prompt"]]["scripts"]["en"])
            return [(("on",), length, length)]
        if kind == "end":
            return [(("end", "ended by plan"), 0, 0)]
        if kind == "message":
            return [(("end", "message " + step["mailbox"]), 0, 0)]
        if kind == "go":
            return [(("go",), 0, 0)]
        if kind == "hours":
            return [(("exit", state(self.plan[step["hours"]], self.day, self.minute)), 0, 0)]
        if kind == "ring":
            rings = step["seconds"]
            return [
                (("end", "answered " + step["target"]), 0, rings - 1),
                (("exit", "nobody"), rings, rings),
                (("exit", "busy"), 0, 0),
                (("exit", "unreachable"), 0, 0),
                (("exit", "refused"), 0, rings - 1),
            ]
        if kind == "menu":
            return self.menu(step)
        raise ValueError(kind)

    def menu(self, step):
        length = seconds_of(self.plan[step["prompt"]]["scripts"]["en"])
        silence = length + step["wait"]
        listed = {one["on"] for one in step["exits"]}
        known = [key for key in KEYS if key in listed]
        found = []
        # The seconds so far, soonest and latest.
        tries = [(0, 0)]
        for number in range(1, step["tries"] + 1):
            following = []
            for low, high in tries:
                found += [(("exit", key), low, high + silence - 1) for key in known]
                if number == step["tries"]:
                    found.append((("exit", "wrong"), low, high + silence - 1))
                    found.append((("exit", "nothing"), low + silence, high + silence))
                following += [(low, high + silence - 1), (low + silence, high + silence)]
            tries = following
        return found

    def run(self, steps, then, over):
        """Endings of a list of steps: `then` is what follows where it runs out, `over` what follows its journey."""
        if not steps:
            return then()
        step, rest = steps[0], lambda: self.run(steps[1:], then, over)
        found = []
        for outcome, low, high in self.outcomes(step):
            if outcome[0] == "end":
                endings = {outcome[1]: (0, 0)}
            elif outcome[0] == "go":
                inner = self.plan[step["journey"]]["steps"]
                endings = self.run(inner, rest, rest) if step.get("comesBack") else self.run(inner, over, over)
            else:
                lists = {one["on"]: one["steps"] for one in step.get("exits", [])}
                name = outcome[1] if outcome[0] == "exit" else None
                endings = self.run(lists[name], rest, over) if name in lists else rest()
            found.append({key: (low + a, high + b) for key, (a, b) in endings.items()})
        return joined(found)


def joined(all_endings):
    result = {}
    for endings in all_endings:
        for key, (low, high) in endings.items():
            a, b = result.get(key, (low, high))
            result[key] = (min(a, low), max(b, high))
    return result


def answer(case):
    call = Call(case)
    ran_out = lambda: {"ran out of steps": (0, 0)}
    endings = call.run(call.plan["jrn_main"]["steps"], ran_out, ran_out)
    latest = max(high for _, high in endings.values())
    if latest > 0:
        endings["caller gave up"] = (1, latest)
    return endings


print(json.dumps([answer(case) for case in json.load(sys.stdin)]))
