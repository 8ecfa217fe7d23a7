import { Button } from 'antd';
import { useRef } from 'react';
import { Link } from 'react-router';
import type { TraceEvent } from '../api/types';
import { useAnswer } from '../moment/useAnswer';
import { useMoment } from '../moment/useMoment';
import { SendButton } from '../outbox/SendButton';
import type { PlanIndex } from '../plan/seenPlan';
import { usePlan } from '../plan/usePlan';
import { RingChart } from '../ringing/RingChart';
import { PlayPrompt } from '../sound/PlayButton';
import type { Filled } from '../sound/soundtrack';
import { useCallPlayer } from '../sound/useCallPlayer';
import { languageName } from '../ui/LanguageSelect';
import { Said } from '../ui/Why';
import { CourseLine } from './CourseLine';
import { clock } from './clock';
import { EveryEnding } from './EveryEnding';
import { FirstSteps } from './FirstSteps';

/** The whole way of the trial call: every event with its second and its reason, and what rang. */
export function CallScreen() {
    const { data: trace, isPending, error } = useAnswer();
    const container = useRef<HTMLOListElement>(null);
    const plan = usePlan();
    const { moment } = useMoment();
    const numbers = plan?.all('number');
    const number = numbers?.find((one) => one.number === moment.to);
    const player = useCallPlayer(trace, plan?.get('site', number?.site)?.country);
    if (!trace && numbers?.length === 0) return <FirstSteps />;
    if (!trace)
        return (
            <p className="quiet pad">
                {error
                    ? 'There is no answer to this call; the bar above says why.'
                    : isPending
                      ? 'Trying the call …'
                      : ''}
            </p>
        );
    // One button sends them all.
    const sends = trace.events.findIndex((event) => event.kind === 'notice sent' || tellsSomebody(event, plan));
    const journeys = [...new Set(trace.events.map((event) => event.journey))];

    return (
        <div className="two call">
            <section className="sheet" aria-label="What happens">
                <h1>What happens to this call</h1>
                <p>
                    <Button size="small" onClick={player.isOn ? player.stop : player.play}>
                        {player.isOn ? 'Stop listening' : 'Listen to the whole call'}
                    </Button>{' '}
                    <span className="quiet">as its caller hears it; waiting is shortened</span>
                </p>
                <p className="quiet">
                    The person who answers sees “{trace.shown.label}” and speaks {languageName(trace.shown.language)}
                    {trace.shown.tone && <>, rung with the tone “{trace.shown.tone}”</>}
                    {trace.shown.note && <>, with the note “{trace.shown.note}”</>}.
                </p>
                <div className="way">
                    <ol ref={container}>
                        {trace.events.map((event, i) => (
                            // biome-ignore lint/suspicious/noArrayIndexKey: events have no identity but their place
                            <li key={i} aria-current={player.head?.event === i ? 'step' : undefined}>
                                <span className="second figures">{clock(event.second)}</span>
                                <span
                                    className="mark"
                                    data-mark={`e${i}`}
                                    style={{ marginLeft: 8 + Math.max(0, journeys.indexOf(event.journey)) * 22 }}
                                />
                                <div className="words">
                                    <EventTitle event={event} name={plan?.find(event.journey)?.name} />
                                    {i === sends && <SendButton />}
                                    {event.reason && <span className="quiet">{event.reason}</span>}
                                    {event.whys.map((one) => (
                                        <Said key={one.id} name={one.name} why={one.why} />
                                    ))}
                                </div>
                            </li>
                        ))}
                        <CourseLine
                            container={container}
                            marks={trace.events.map((_, i) => `e${i}`)}
                            head={player.head && { at: player.head.event, seconds: player.head.seconds }}
                        />
                    </ol>
                </div>
            </section>
            <div>
                <section className="sheet" aria-label="What rings">
                    <h2>What rings, second by second</h2>
                    <RingChart rung={trace.rung} seconds={trace.seconds} />
                </section>
                <EveryEnding />
            </div>
        </div>
    );
}

function EventTitle({ event, name }: { event: TraceEvent; name: string | undefined }) {
    const { search } = useMoment();
    return (
        <span className="title">
            <b>{event.text}</b>
            <PlayPrompt id={promptOf(event)} filled={(event.what as { filled?: Filled[] }).filled} />
            {event.journey?.startsWith('jrn_') && name && event.step && (
                <Link className="where" to={{ pathname: `/journeys/${event.journey}`, search, hash: event.step }}>
                    in {name}
                </Link>
            )}
        </span>
    );
}

/** The prompt that is heard then, if one is. */
function promptOf({ what }: TraceEvent): string | null {
    const { prompt, greeting } = what as { prompt?: string | null; greeting?: string | null };
    return prompt ?? greeting ?? null;
}

/** Whether a message is left that somebody is told of by e-mail. */
function tellsSomebody({ what }: TraceEvent, plan: PlanIndex | undefined): boolean {
    const { mailbox, announcement } = what as { mailbox?: string | null; announcement?: boolean };
    return announcement === false && (plan?.get('mailbox', mailbox)?.notify.length ?? 0) > 0;
}
