import type { Hours, State } from '../api/types';

/** States differ by pattern as well as by colour: open ones are solid or dotted, the others hatched each in its own way. */
export function StatePattern({ states }: { states: State[] }) {
    return (
        <defs>
            {states.map((state, i) => (
                <pattern
                    key={state.key}
                    id={patternId(state.key)}
                    width="8"
                    height="8"
                    patternUnits="userSpaceOnUse"
                    patternTransform={`rotate(${state.open ? 0 : 45 + i * 30})`}
                >
                    <rect
                        width="8"
                        height="8"
                        className={state.open ? `open-${openIndex(states, i)}` : `shut-${shutIndex(states, i)}`}
                    />
                    {state.open
                        ? openIndex(states, i) > 0 && <circle cx="4" cy="4" r="1.1" className="dot" />
                        : shutIndex(states, i) > 0 && <line x1="0" y1="0" x2="0" y2="8" className="hatch" />}
                </pattern>
            ))}
        </defs>
    );
}

const openIndex = (states: State[], i: number) => Math.min(2, states.slice(0, i).filter((state) => state.open).length);
const shutIndex = (states: State[], i: number) => Math.min(3, states.slice(0, i).filter((state) => !state.open).length);

/** Keys may have blanks, which no id has: what such a one is referred to by is drawn black. */
const patternId = (key: string) => `state-${key.replaceAll(/[^\w-]/g, (other) => `_${other.codePointAt(0)}`)}`;

/** The fill of a state of which there is a pattern in the picture. */
export const patternFill = (key: string) => `url(#${patternId(key)})`;

export function stateFill(hours: Hours, key: string): string {
    return hours.states.some((state) => state.key === key) ? patternFill(key) : 'none';
}
