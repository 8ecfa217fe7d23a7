import { App } from 'antd';
import { Link } from 'react-router';
import type { Override } from '../api/types';
import { useMoment } from '../moment/useMoment';
import { ActButton } from '../ui/ActButton';
import { momentWords } from '../ui/when';
import { useForce, useOverrides } from './useOverrides';

/** What is forced right now, on every screen: nobody should forget it. */
export function OverrideBanner() {
    const { on } = useOverrides();
    const { search } = useMoment();
    if (on.length === 0) return null;
    return (
        <section className="forced" aria-label="Forced hours">
            {on.slice(0, 3).map((one) => (
                <div key={one.id} className={one.outlasts ? 'forced-row late' : 'forced-row'}>
                    <Flag />
                    <span>
                        <Link to={{ pathname: `/hours/${one.hours}`, search }}>{one.hoursName}</Link> forced into{' '}
                        <b>{one.stateName}</b> by {one.who}: {one.reason}. <Ends override={one} />
                    </span>
                    <LiftButton override={one} />
                </div>
            ))}
            {on.length > 3 && <Link to={{ pathname: '/open-now', search }}>{on.length - 3} more hours are forced</Link>}
        </section>
    );
}

/** When it ends, and whether that is later than it ought to be. */
export function Ends({ override }: { override: Override }) {
    return (
        <span className="quiet">
            {override.until ? `Until ${momentWords(override.until, override.setAt)}.` : 'Until somebody lifts it.'}
            {override.outlasts && (
                <b className="alarm">
                    {' '}
                    It outlasts the next {override.open ? 'closing' : 'opening'},{' '}
                    {momentWords(override.outlasts, override.setAt)}.
                </b>
            )}
        </span>
    );
}

export function LiftButton({ override }: { override: Override }) {
    const { lift } = useForce();
    const { message } = App.useApp();
    return (
        <ActButton
            aria-label={`Lift what is forced on ${override.hoursName}`}
            act={async () => {
                await lift(override.id);
                message.success(`${override.hoursName} follow their timetable again.`);
            }}
        >
            Lift
        </ActButton>
    );
}

function Flag() {
    return (
        <svg width="14" height="16" viewBox="0 0 14 16" aria-hidden="true" className="flag">
            <path d="M2 1v14M2 2h10l-3 3.5L12 9H2" />
        </svg>
    );
}
