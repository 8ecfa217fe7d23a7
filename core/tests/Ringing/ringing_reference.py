"""Ringing second by second, written from docs/ringing.md alone: reads cases as JSON, prints how each ends.

It looks at every second anew and asks what should ring then; it keeps no queue of events and shares no code with core/.
A case: phones (what they are and do), a program (who is to ring), limit, again (minutes), patience, channels (null: no lines).
A program: {"pattern", "turn", "widen", "members": [{"tier", "seconds", "kept", "stages": [{"after", "seconds", "phones", "team"}]}]}.
"""
import json
import sys

ASK = 4
PAUSE = 5
SILENT_ROUND = 20


class Phone:
    def __init__(self, spec, place):
        self.__dict__.update(spec)
        self.place = place
        self.rang = 0       # seconds, in the call
        self.fresh()

    def fresh(self):
        self.state = 'idle'
        self.until = -1
        self.outcome = None
        self.began = []     # outcomes of each ring in this round

    def able(self, kept):
        """None where it can be rung, else why not."""
        if kept:
            return kept
        second = self.does == 'on a call' and self.calls >= 2
        if (self.does in ('busy', 'on a call')) and not second:
            return None if self.mailbox is not None and self.when_busy else 'busy'
        if self.does == 'unreachable' and self.mailbox is None:
            return 'unreachable'
        return None

    def dial(self, t, until):
        self.state, self.start, self.until, self.asked, self.due = 'ringing', t, until, None, None
        self.first = t + self.set_up
        self.outcome = 'not answered'
        self.pick = self.decline = None
        self.by_mailbox = False
        second = self.does == 'on a call' and self.calls >= 2
        if self.does in ('busy', 'unreachable') or (self.does == 'on a call' and not second):
            self.pick, self.by_mailbox = self.first, True
            return
        human = None
        if self.does == 'answers' or (second and self.after is not None):
            human = max(0, (self.after or 0) - self.rang)
        if self.does == 'refuses':
            self.decline = self.after or 0
        if self.mailbox is not None:
            if human is not None and human > self.mailbox:
                human = None
            if self.decline is not None and self.decline > self.mailbox:
                self.decline = None
            if self.decline is not None and self.when_busy:
                self.pick, self.by_mailbox, self.decline = self.first + self.decline, True, None
                return
            if human is None and self.decline is None:
                self.pick, self.by_mailbox = self.first + self.mailbox, True
                return
        if human is not None:
            self.pick = self.first + human
        if self.decline is not None:
            self.decline += self.first

    def over(self, t, state, outcome):
        self.rang += max(0, t - self.first)
        self.state, self.outcome = state, outcome


class Round:
    def __init__(self, case, phones, limit, gone):
        self.case, self.phones, self.limit, self.gone = case, phones, limit, gone
        self.free = case['channels']
        self.windows = []       # [phone, from, until, begun]
        self.turns = []         # teams in turn
        self.blocked = False
        self.refused = set()
        for phone in phones.values():
            phone.fresh()

    def listed(self, members):
        for member in members:
            for stage in member['stages']:
                for name in stage['phones']:
                    yield name, member['kept']
                if stage['team']:
                    yield from self.listed(stage['team']['members'])

    def can(self, members):
        return any(self.phones[name].able(kept) is None for name, kept in self.listed(members))

    def team(self, program, start, end):
        """Returns windows, or a turn that grows them."""
        if program['pattern'] in ('all at once', 'widening'):
            mine = []
            for member in program['members']:
                joins = start + (program['widen'] * (member['tier'] - 1) if program['pattern'] == 'widening' else 0)
                mine += self.member(member, joins, end if member['seconds'] is None else min(end, joins + member['seconds']))
            return mine
        turn = {'program': program, 'next': 0, 'end': end, 'mine': [], 'start': start, 'over': False, 'begun': False}
        self.turns.append(turn)
        return [turn]

    def member(self, member, start, end):
        mine = []
        for stage in member['stages']:
            begin = start + stage['after']
            finish = end if stage['seconds'] is None else min(end, begin + stage['seconds'])
            if begin >= finish:
                continue
            for name in stage['phones']:
                if self.phones[name].able(member['kept']) is None:
                    window = [name, begin, finish, 'waiting']
                    self.windows.append(window)
                    mine.append(window)
            if stage['team'] and self.can(stage['team']['members']):
                mine += self.team(stage['team'], begin, finish)
        return mine

    def done(self, things, t):
        """Nothing of it rings, or will ring, on its behalf."""
        for thing in things:
            if isinstance(thing, dict):
                if not thing['over']:
                    return False
            elif thing[3] == 'waiting' or (thing[3] == 'ringing' and thing[2] > t and self.phones[thing[0]].state in ('ringing', 'connecting')):
                return False
        return True

    def advance(self, t):
        moved = False
        for turn in list(self.turns):
            if turn['over'] or t < turn['start']:
                continue
            while not turn['over'] and self.done(turn['mine'], t):
                moved = True
                if turn['next'] >= len(turn['program']['members']) or t >= turn['end']:
                    turn['over'] = True
                    break
                member = turn['program']['members'][turn['next']]
                turn['next'] += 1
                length = turn['program']['turn'] if member['seconds'] is None else member['seconds']
                turn['mine'] = self.member(member, t, min(turn['end'], t + length))
        return moved

    def decline(self, t):
        for phone in sorted(self.phones.values(), key=lambda one: one.place):
            if phone.state == 'ringing' and phone.decline == t:
                self.hush(phone, t, 'refused')
                if phone.for_all:
                    self.refused.add(phone.person)
                    for other in self.phones.values():
                        if other.person == phone.person and other.state == 'ringing':
                            self.hush(other, t, 'refused')
            if phone.state == 'connecting' and phone.by_mailbox and phone.due == t and phone.ask:
                self.hush(phone, t, 'turned away')

    def hush(self, phone, t, outcome):
        phone.over(t, 'silent', outcome)
        phone.began[-1] = outcome
        self.release(phone)

    def release(self, phone):
        if phone.outside and self.free is not None:
            self.free += 1

    def begin(self, window, t):
        phone = self.phones[window[0]]
        window[3] = 'ringing'
        if phone.state == 'connecting' or (phone.state != 'idle' and phone.until >= t):
            phone.until = max(phone.until, window[2])
            if phone.state == 'ended':
                # Its stretch ended in this very second: it rings on.
                if phone.outside and self.free is not None:
                    if self.free == 0:
                        window[3] = 'over'
                        return
                    self.free -= 1
                phone.rang -= max(0, t - phone.first)
                phone.state = 'ringing'
            return
        if phone.person in self.refused:
            window[3] = 'over'
            return
        if phone.outside and self.free is not None:
            if self.free <= 0:
                self.blocked = True
                window[3] = 'over'
                return
            self.free -= 1
        phone.dial(t, window[2])
        phone.began.append('not answered')

    def play(self):
        program = self.case['program']
        everything = self.team(program, 0, self.limit)
        order = sorted(self.phones.values(), key=lambda one: one.place)
        t = 0
        while True:
            if self.gone is not None and t >= self.gone:
                return ['gone', None, t, None]
            for phone in order:
                if phone.state == 'ringing' and phone.until <= t:
                    phone.over(t, 'ended', 'not answered')
                    self.release(phone)
            self.decline(t)
            while True:
                moved = self.advance(t)
                now = sorted((w for w in self.windows if w[3] == 'waiting' and w[1] == t), key=lambda w: self.phones[w[0]].place)
                for window in now:
                    self.begin(window, t)
                self.decline(t)
                if not moved and not now:
                    break
            for phone in order:
                if phone.state == 'ringing' and phone.pick == t:
                    phone.state = 'connecting'
                    phone.due = t + phone.digits + (0 if not phone.ask else phone.confirm if phone.by_mailbox else ASK)
                if phone.state == 'connecting' and phone.due == t and not (phone.ask and phone.by_mailbox):
                    return ['own mailbox' if phone.by_mailbox else 'answered', phone.name, t, None]
            if self.done(everything, t) and not any(phone.state == 'connecting' for phone in order):
                return ['nobody', None, t, self.exit()]
            t += 1

    def exit(self):
        rang = [outcome for phone in self.phones.values() for outcome in phone.began]
        if rang:
            return 'refused' if all(outcome == 'refused' for outcome in rang) else 'nobody'
        why = [self.phones[name].able(kept) for name, kept in self.listed(self.case['program']['members'])]
        return 'busy' if self.blocked or 'busy' in why else 'unreachable'


def run(case):
    phones = {spec['name']: Phone(spec, place) for place, spec in enumerate(case['phones'])}
    clock, end = 0, 60 * case['again']
    first = True
    while True:
        left = None if case['patience'] is None else case['patience'] - clock
        limit = case['limit'] if first else min(case['limit'], end - clock)
        one = Round(case, phones, limit, left)
        kind, who, seconds, way = one.play()
        silent = not any(phone.began and phone.state != 'idle' for phone in phones.values())
        for phone in phones.values():
            if phone.state in ('ringing', 'connecting'):
                phone.over(seconds, 'ended', 'not answered')
        clock += seconds
        if case['patience'] is not None and clock >= case['patience']:
            return ['caller gave up', None, case['patience'], None]
        if kind != 'nobody' or not case['again']:
            return [kind, who, clock, way]
        first = False
        wait = min(SILENT_ROUND, end - clock) if silent else 0
        last = clock + wait + PAUSE >= end
        clock += wait if last else wait + PAUSE
        if case['patience'] is not None and clock >= case['patience']:
            return ['caller gave up', None, case['patience'], None]
        if last:
            return [kind, who, clock, way]


print(json.dumps([run(case) for case in json.load(sys.stdin)]))
