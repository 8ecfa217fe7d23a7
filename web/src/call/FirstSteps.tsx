import { Link } from 'react-router';
import type { Kind } from '../api/types';
import { useMoment } from '../moment/useMoment';
import { KINDS } from '../plan/kinds';
import { usePlan } from '../plan/usePlan';

const STEPS: { kind: Kind; why: string }[] = [
    { kind: 'site', why: 'where you are: what time its hours keep, and how numbers are typed there' },
    { kind: 'number', why: 'what callers dial' },
    { kind: 'person', why: 'who answers, with their phones' },
    { kind: 'journey', why: 'what callers go through; patterns are there to start from' },
];

/** What a plan needs before there is a call to try. */
export function FirstSteps() {
    const { search } = useMoment();
    const plan = usePlan();
    const to = (pathname: string) => ({ pathname, search });
    return (
        <div className="one">
            <section className="sheet" aria-label="First steps">
                <h1>There is no number to call yet</h1>
                <p className="quiet">A plan begins with these, and with the site first:</p>
                <ol>
                    {STEPS.map(({ kind, why }) => {
                        const count = plan?.all(kind).length ?? 0;
                        return (
                            <li key={kind}>
                                <Link to={to(`/${KINDS[kind].path}`)}>{KINDS[kind].many}</Link>: {why}
                                {count > 0 && <b> · {count} so far</b>}
                            </li>
                        );
                    })}
                </ol>
                <p className="quiet">
                    Is there a plan as a file already, or do you want to look at the demo?{' '}
                    <Link to={to('/files')}>Bring it in</Link>.
                </p>
            </section>
        </div>
    );
}
