import type { Outlined } from '../api/types';
import { ALL_KINDS, KINDS } from '../plan/kinds';
import type { PlanIndex } from '../plan/seenPlan';
import { FIRST_SCREEN, GROUPS } from '../ui/screens';
import { dialled, inAnyCountry, plain } from '../ui/searched';

/** Something to which one can go. */
export interface Found {
    key: string;
    name: string;
    /** Its kind, and what is dialled to reach it. */
    what: string;
    path: string;
}

const MOST_SHOWN = 40;

const SCREENS = [FIRST_SCREEN, ...GROUPS.flatMap((group) => group.screens)];

/** How good a find is: less is better. */
enum Fit {
    Same,
    Begins,
    WordBegins,
    Within,
    Not,
}

/** Screens and elements by name, kind, and what is dialled to reach them; the best first, and how many more there are. */
export function foundIn(plan: PlanIndex, typed: string): { found: Found[]; more: number } {
    const wanted = plain(typed.trim());
    if (wanted === '') return { found: [], more: 0 };
    const fits: [Fit, Found][] = SCREENS.map((one) => [
        fitOf(wanted, plain(one.name), 'screen'),
        { key: one.path, name: one.name, what: 'screen', path: one.path },
    ]);
    const number = dialled(typed);
    for (const kind of ALL_KINDS) {
        for (const one of KINDS[kind].group === null ? [] : plan.all(kind)) {
            const spans = number === null ? [] : reachedBy(one);
            const fit = Math.min(
                fitOf(wanted, plainName(one), KINDS[kind].one),
                ...spans.map((span) => fitOfDialled(number ?? '', span)),
            );
            if (fit < Fit.Not) fits.push([fit, foundElement(plan, one)]);
        }
    }
    // Those that fit alike stay in the order of screens and of names.
    const sorted = fits.filter(([fit]) => fit < Fit.Not).toSorted(([a], [b]) => a - b);
    return { found: sorted.slice(0, MOST_SHOWN).map(([, one]) => one), more: Math.max(0, sorted.length - MOST_SHOWN) };
}

function foundElement(plan: PlanIndex, one: Outlined): Found {
    const known =
        one.kind === 'number'
            ? [plan.international(one.number) ?? one.number]
            : one.kind === 'person' && one.extension
              ? [one.extension]
              : [];
    return {
        key: one.id,
        name: one.name,
        what: [KINDS[one.kind].one, ...known].join(' · '),
        path: `/${KINDS[one.kind].path}/${one.id}`,
    };
}

/** Of thousands of elements at each key that is typed. */
const names = new WeakMap<Outlined, string>();
function plainName(one: Outlined): string {
    const name = names.get(one) ?? plain(one.name);
    names.set(one, name);
    return name;
}

/** All words must be there, in its name or its kind, in any order. */
function fitOf(wanted: string, name: string, kind: string): Fit {
    if (name === wanted) return Fit.Same;
    if (name.startsWith(wanted)) return Fit.Begins;
    const words = wanted.split(/\s+/);
    const text = `${name} ${kind}`;
    if (!words.every((word) => text.includes(word))) return Fit.Not;
    return words.every((word) => ` ${text}`.includes(` ${word}`)) ? Fit.WordBegins : Fit.Within;
}

/** What is dialled to reach an element, and outside numbers that ring for it; of a block, its first and its last. */
function reachedBy(one: Outlined): [first: string, last: string][] {
    const alone = (...texts: (string | null | undefined)[]) =>
        texts.flatMap((text): [string, string][] => (text ? [[text, text]] : []));
    switch (one.kind) {
        case 'number':
            return [[one.number.replace('*', ''), (one.block?.last ?? one.number).replace('*', '')]];
        case 'person':
            return alone(one.extension, ...one.phones.map((phone) => phone.number));
        case 'hours':
            return alone(...one.codes.map(({ code }) => code));
        case 'queue':
            return alone(one.duty.codeIn, one.duty.codePause, one.duty.codeOut);
        case 'site':
            return alone(...one.parkPlaces);
        default:
            return [];
    }
}

function fitOfDialled(typed: string, [first, last]: [string, string]): Fit {
    if (typed === first || typed === last) return Fit.Same;
    const digits = inAnyCountry(typed);
    if (digits === '') return Fit.Not;
    const [from, to] = [first.replace('+', ''), last.replace('+', '')];
    if (from.startsWith(digits)) return Fit.Begins;
    // Of a block, its last digits make it one of many.
    const one = from.slice(0, -digits.length) + digits;
    if (digits.length < from.length && one >= from && one <= to) return Fit.WordBegins;
    return from.includes(digits) ? Fit.Within : Fit.Not;
}
