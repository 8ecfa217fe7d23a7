// Answers per second of npm's rrule on the same question: the last change before an instant.
import rrule from 'rrule';

const { RRule, RRuleSet } = rrule;
const start = new Date(Date.UTC(2026, 0, 1));
const set = new RRuleSet(true);
const weekdays = [RRule.MO, RRule.TU, RRule.WE, RRule.TH, RRule.FR];
const weekly = (byweekday, byhour, byminute) =>
    set.rrule(new RRule({ freq: RRule.WEEKLY, dtstart: start, byweekday, byhour, byminute, bysecond: 0 }, true));
for (const [hour, minute] of [
    [8, 0],
    [12, 0],
    [13, 30],
    [20, 0],
])
    weekly(weekdays, hour, minute);
for (const hour of [9, 17]) weekly([RRule.SA, RRule.SU], hour, 0);
let seed = 1;
const random = () => {
    seed = (seed * 48271) % 2147483647;
    return seed / 2147483647;
};
const instants = Array.from({ length: 40 }, () => new Date(start.getTime() + random() * 5 * 365 * 86_400_000));
const before = performance.now();
for (const instant of instants) set.before(instant, true);
console.log(instants.length / ((performance.now() - before) / 1000));
