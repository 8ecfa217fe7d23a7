"""A queue written from docs/queues.md alone, on SimPy (Debian: python3-simpy3): reads scenarios, prints who answered when.

One scenario: {"order", "widen", "spills", "notes", "tiers": [tier of agent 0, …], "calls": [[arrival, service], …]}.
"""
import json
import sys

import simpy


def run(scenario):
    env = simpy.Environment()
    agents = range(len(scenario["tiers"]))
    free_since = {agent: 0 for agent in agents}
    calls_taken = {agent: 0 for agent in agents}
    talked = {agent: 0 for agent in agents}
    waiting, answered = [], {}

    def first(eligible):
        key = {
            "longest idle first": lambda a: (free_since[a], a),
            "in order": lambda a: a,
            "fewest calls first": lambda a: (calls_taken[a], a),
            "least talk time first": lambda a: (talked[a], a),
        }[scenario["order"]]
        return min(eligible, key=key)

    def eligible(arrival):
        found = []
        for tier in sorted(set(scenario["tiers"])):
            free = [a for a in agents if scenario["tiers"][a] == tier and a in free_since]
            joined = env.now - arrival >= (tier - 1) * scenario["widen"]
            if free and (joined or (scenario["spills"] and not found)):
                # Lower tiers are asked before those that joined them.
                found = found or free
        return found

    def match(env):
        yield env.timeout(0)
        while waiting:
            call, arrival, service = waiting[0]
            who = eligible(arrival)
            if not who:
                return
            agent = first(who)
            waiting.pop(0)
            del free_since[agent]
            calls_taken[agent] += 1
            talked[agent] += service
            answered[call] = [env.now, agent]
            env.process(serve(env, agent, service))

    def serve(env, agent, service):
        yield env.timeout(service + scenario["notes"])
        free_since[agent] = env.now
        env.process(match(env))

    def arrive(env):
        for call, (arrival, service) in enumerate(scenario["calls"]):
            yield env.timeout(arrival - env.now)
            waiting.append((call, arrival, service))
            env.process(match(env))
            for tier in set(scenario["tiers"]):
                env.process(look_again(env, (tier - 1) * scenario["widen"]))

    def look_again(env, after):
        yield env.timeout(after)
        env.process(match(env))

    env.process(arrive(env))
    env.run()
    return [answered[call] for call in range(len(scenario["calls"]))]


print(json.dumps([run(scenario) for scenario in json.load(sys.stdin)]))
