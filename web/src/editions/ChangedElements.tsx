import { Link } from 'react-router';
import type { Kind, Pending } from '../api/types';
import { useMoment } from '../moment/useMoment';
import { KINDS } from '../plan/kinds';
import { capital } from '../ui/capital';
import { Said } from '../ui/Why';

type Named = Pending['pending'][number];

/** More than these are told kind by kind. */
const FEW = 12;
const WAYS = ['added', 'changed', 'removed'] as const;

/** "3 added, 1 removed". */
export function countWords(counts: Pending['counts']) {
    return WAYS.map((what) => ({ what, count: sum(counts.filter((one) => one.what === what)) }))
        .filter(({ count }) => count > 0)
        .map(({ what, count }) => `${number(count)} ${what}`)
        .join(', ');
}

/** "1 element", "9,850 elements". */
export const elementWords = (count: number) => `${number(count)} ${count === 1 ? 'element' : 'elements'}`;

/** What is added, changed and removed between two plans; of many, those first of which somebody said why, and how many there are of each kind. */
export function ChangedElements({ changes, linked }: { changes: Pending; linked?: boolean }) {
    // Whoever said why an element is as it was is heard first.
    const explainedFirst = changes.pending.toSorted((a, b) => Number(b.why !== null) - Number(a.why !== null));
    if (changes.count <= FEW) return <NameList named={explainedFirst} linked={linked} withKind />;
    const explained = explainedFirst.filter((one) => one.why !== null);
    return (
        <>
            <NameList named={explained.slice(0, FEW)} linked={linked} withKind />
            {(Object.keys(KINDS) as Kind[]).map((kind) => (
                <OfOneKind
                    key={kind}
                    kind={kind}
                    counts={changes.counts.filter((one) => one.kind === kind)}
                    named={explainedFirst.filter((one) => one.kind === kind)}
                    linked={linked}
                />
            ))}
        </>
    );
}

function OfOneKind({ kind, counts, named, linked }: Pick<NameListProps, 'named' | 'linked'> & OfOneKindProps) {
    const count = sum(counts);
    if (count === 0) return null;
    return (
        <details className="more">
            <summary>
                {capital(count === 1 ? KINDS[kind].one : KINDS[kind].many)}{' '}
                <span className="quiet">{countWords(counts)}</span>
            </summary>
            <NameList named={named} linked={linked} allAlike={counts.length === 1} more={count - named.length} />
        </details>
    );
}

interface OfOneKindProps {
    kind: Kind;
    counts: Pending['counts'];
}

function NameList({ named, linked, withKind, allAlike, more = 0 }: NameListProps) {
    const { search } = useMoment();
    if (named.length === 0) return null;
    return (
        <ul className="pending">
            {named.map((one) => (
                <li key={one.id}>
                    {!allAlike && <span className={`what ${one.what}`}>{one.what}</span>}{' '}
                    {linked && one.what !== 'removed' ? (
                        <Link to={{ pathname: `/${KINDS[one.kind as Kind].path}/${one.id}`, search }}>{one.name}</Link>
                    ) : (
                        one.name
                    )}
                    {withKind && <span className="quiet"> {one.kind}</span>}
                    {one.why !== null && <Said name="It was so because" why={one.why} />}
                </li>
            ))}
            {more > 0 && <li className="quiet">and {number(more)} more</li>}
        </ul>
    );
}

interface NameListProps {
    named: Named[];
    linked: boolean | undefined;
    withKind?: boolean;
    /** All are added, or changed, or removed: that is said above. */
    allAlike?: boolean;
    more?: number;
}

const sum = (counts: Pending['counts']) => counts.reduce((all, one) => all + one.count, 0);
const number = (count: number) => count.toLocaleString('en-GB');
