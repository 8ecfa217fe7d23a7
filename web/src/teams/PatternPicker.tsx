import type { Team } from '../api/types';
import styles from './patternPicker.module.css';
import { PATTERNS, type Pattern } from './patterns';

/** The ways in which a team can ring, each drawn as its phones ring, and the chosen one in words. */
export function PatternPicker({
    id,
    value,
    disabled,
    onChange,
}: {
    id: string;
    value: Team['pattern'];
    disabled: boolean;
    onChange: (pattern: Team['pattern']) => void;
}) {
    const chosen = PATTERNS.find((one) => one.pattern === value);
    return (
        <>
            <div id={id} role="radiogroup" aria-label="How it rings" className={styles.patterns}>
                {PATTERNS.map((one) => (
                    <label key={one.pattern} className={styles.pattern}>
                        <input
                            type="radio"
                            name={id}
                            aria-label={`${one.name}: ${one.about}`}
                            checked={one.pattern === value}
                            disabled={disabled}
                            onChange={() => onChange(one.pattern)}
                        />
                        <Drawing of={one} />
                        {one.name}
                    </label>
                ))}
            </div>
            {chosen && (
                <p className="about">
                    {chosen.name}: {chosen.about}.
                </p>
            )}
        </>
    );
}

const SIXTH = 11;
const ROW = 8;
/** Where the call begins: what was before stands left of it. */
const START = 18;

function Drawing({ of: { bars, before, maybe, answered } }: { of: Pattern }) {
    return (
        <svg className={styles.drawing} viewBox={`0 0 ${START + 6 * SIXTH + 2} 26`} aria-hidden="true">
            {before?.each.map((many, row) => (
                // biome-ignore lint/suspicious/noArrayIndexKey: a row is its place
                <g key={row}>
                    {before.is === 'waited' ? (
                        <path
                            className={styles.waited}
                            d={`M${START - 3 - many * 4.5} ${5 + row * ROW}H${START - 3}`}
                        />
                    ) : (
                        [...Array(many).keys()].map((i) => (
                            <circle key={i} className={styles.call} cx={START - 5 - i * 5} cy={5 + row * ROW} r={1.7} />
                        ))
                    )}
                </g>
            ))}
            <path className={styles.begins} d={`M${START - 0.5} 0V26`} />
            {bars.map(({ row, from, to }) => (
                <g key={row}>
                    <rect
                        className={maybe ? `${styles.bar} ${styles.maybe}` : styles.bar}
                        x={START + 1 + from * SIXTH}
                        y={2.5 + row * ROW}
                        width={(to - from) * SIXTH - 1.5}
                        height={5}
                        rx={1.5}
                    />
                    {answered && <circle className={styles.answer} cx={START + 4} cy={5 + row * ROW} r={3} />}
                </g>
            ))}
        </svg>
    );
}
