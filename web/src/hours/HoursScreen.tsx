import { Link } from 'react-router';
import type { Hours, HoursState } from '../api/types';
import { useHoursStates } from '../moment/useAnswer';
import { useMoment } from '../moment/useMoment';
import { ForceButton } from '../overrides/ForceDialog';
import { type EditorProps, ElementScreen } from '../ui/ElementScreen';
import { dateWords, momentWords } from '../ui/when';
import { Changes } from './Changes';
import { Timetable } from './Timetable';
import { YearView } from './YearView';

export function HoursScreen() {
    const states = useHoursStates();
    return (
        <ElementScreen
            kind="hours"
            empty="There are no hours yet. Name some below; they start open on weekdays from nine to five."
            note={(hours) => hours.states.find((state) => state.key === states?.[hours.id]?.state)?.name ?? ''}
            editor={(props) => <HoursEditor {...props} now={states?.[props.value.id]} />}
        />
    );
}

const VIEWS = [
    { view: 'timetable', label: 'Timetable' },
    { view: 'year', label: 'Year' },
    { view: 'changes', label: 'Next changes' },
] as const;

function HoursEditor(props: EditorProps<Hours> & { now: HoursState | undefined }) {
    const { search } = useMoment();
    const view = new URLSearchParams(search).get('view') ?? 'timetable';
    const { value, now } = props;
    return (
        <>
            {now && <NowLine hours={value} now={now} />}
            <nav className="views" aria-label="Views of these hours">
                {VIEWS.map((one) => {
                    const next = new URLSearchParams(search);
                    next.set('view', one.view);
                    return (
                        <Link
                            key={one.view}
                            to={{ search: next.toString() }}
                            replace
                            aria-current={view === one.view ? 'page' : undefined}
                        >
                            {one.label}
                        </Link>
                    );
                })}
            </nav>
            {view === 'year' ? (
                <YearView hours={value} now={now} />
            ) : view === 'changes' ? (
                <Changes hours={value} />
            ) : (
                <Timetable {...props} />
            )}
        </>
    );
}

/** The state at the moment of the bar: why, until when, and what comes next. */
function NowLine({ hours, now }: { hours: Hours; now: HoursState }) {
    const name = (key: string) => hours.states.find((one) => one.key === key)?.name ?? key;
    return (
        <div className="now">
            <p>
                <span className={`state ${now.open ? 'open' : 'shut'}`}>{name(now.state)}</span> at this moment,{' '}
                {dateWords(now.local)} {now.local.slice(11, 16)} in {now.zone}.{' '}
                <span className="quiet">{now.reason}</span>
                {now.next && (
                    <span className="quiet">
                        {' '}
                        Then {name(now.next.state)}, {momentWords(now.next.at, now.local)}.
                    </span>
                )}
            </p>
            <ForceButton hours={hours} zone={now.zone} />
        </div>
    );
}
