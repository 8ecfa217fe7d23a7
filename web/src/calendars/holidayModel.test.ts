import { describe, expect, it } from 'vitest';
import { newHoliday, RULE_NAMES, ruleOf, yearsOf } from './holidayModel';

describe('holidays', () => {
    it('begin near the date in view, whatever the rule', () => {
        for (const on of Object.keys(RULE_NAMES) as (keyof typeof RULE_NAMES)[])
            expect(ruleOf(on, '2026-11-23').on).toBe(on);
        expect(ruleOf('yearly', '2026-11-23')).toEqual({ on: 'yearly', date: '11-23' });
        expect(ruleOf('nth weekday', '2026-11-23')).toMatchObject({ month: 11 });
    });

    it('have ids of their own, made of their names', () => {
        const first = newHoliday('Fête du Port', '2026-11-23', []);
        expect(first.id).toBe('fete_du_port');
        expect(newHoliday('Fête du Port', '2026-11-23', [first]).id).toBe('fete_du_port_2');
        expect(newHoliday('14.', '2026-11-23', []).id).toBe('holiday');
    });

    it('read years as they are typed', () => {
        expect(yearsOf('2020, 2022 and 12')).toEqual([2020, 2022]);
        expect(yearsOf('')).toEqual([]);
    });
});
