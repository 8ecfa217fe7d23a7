import { App, Button, Tooltip } from 'antd';
import { useCallback, useEffect, useRef, useState } from 'react';
import { api, ask, RefusedError } from '../api/client';
import type { Trace } from '../api/types';
import { EndingIcon } from '../call/EndingIcon';
import { ImpactLine } from '../coverage/Impact';
import { ExpectThis } from '../expectations/ExpectThis';
import { DialledCode } from '../overrides/DialledCode';
import { usePlan } from '../plan/usePlan';
import { keyNote, useSingleKey, useSingleKeys } from '../ui/singleKeys';
import { momentWords } from '../ui/when';
import { toTrialCall } from './trialCall';
import { useAnswer } from './useAnswer';
import { useCallKept } from './useCallKept';
import { useMoment } from './useMoment';
import { Why } from './Why';

/** The answer in one sentence, and the way to the moments before and after at which it changes. */
export function AnswerStrip() {
    const { moment, change } = useMoment();
    const { data: trace, error, isFetching, isPlaceholderData } = useAnswer();
    const { message } = App.useApp();
    const plan = usePlan();
    useCallKept();
    const before = useAnswerBefore(isPlaceholderData ? undefined : trace, plan?.stamp);

    const step = useCallback(
        async (direction: 'next' | 'previous') => {
            if (!moment.to) return;
            try {
                const { at, looked } = await ask(
                    api.POST('/api/trial-calls/{direction}-change', {
                        params: { path: { direction } },
                        body: toTrialCall(moment),
                    }),
                );
                if (at) change({ at: at.slice(0, 19) });
                else if (looked)
                    message.info(`No change as far as ${momentWords(looked, moment.at)}. Look on from there.`);
                else
                    message.info(
                        direction === 'next'
                            ? 'The answer stays as it is from here on.'
                            : 'The answer was never different before.',
                    );
            } catch (failure) {
                message.error(failure instanceof RefusedError ? failure.problem.detail : String(failure));
            }
        },
        [moment, change, message],
    );

    useSingleKey('before', () => step('previous'));
    useSingleKey('after', () => step('next'));
    const keys = useSingleKeys();

    return (
        <section className="answer" aria-label="Answer">
            <Tooltip title={`To the last moment at which the answer changed${keyNote(keys.before)}`}>
                <Button
                    aria-label="Previous change of the answer"
                    disabled={!moment.to}
                    onClick={() => step('previous')}
                >
                    ‹ before
                </Button>
            </Tooltip>
            <div className="sentence" aria-live="polite" aria-busy={isFetching}>
                {error ? (
                    <p className="alarm">
                        {error instanceof RefusedError && error.problem.errors
                            ? error.problem.errors.map((one) => `${one.detail} ${one.remedy}`).join(' ')
                            : error.message}
                    </p>
                ) : trace ? (
                    <p>
                        <EndingIcon kind={trace.ending.kind} /> {trace.sentence} <Hold trace={trace} />{' '}
                        <Why trace={trace} />
                        <ExpectThis />
                        <DialledCode trace={trace} />
                        {before && <span className="was quiet">Before your change: {before}</span>}
                    </p>
                ) : (
                    <p className="quiet">
                        {plan?.all('number').length === 0
                            ? 'There is no number to call yet.'
                            : 'Choose a number to try a call to.'}
                    </p>
                )}
                <ImpactLine />
            </div>
            <Tooltip title={`To the next moment at which the answer changes${keyNote(keys.after)}`}>
                <Button aria-label="Next change of the answer" disabled={!moment.to} onClick={() => step('next')}>
                    after ›
                </Button>
            </Tooltip>
        </section>
    );
}

/** What the answer to the same call was before the last edit, where the edit changed it. */
function useAnswerBefore(trace: Trace | undefined, stamp: number | undefined): string | undefined {
    const last = useRef<{ call: string; stamp: number | undefined; sentence: string } | undefined>(undefined);
    const [before, setBefore] = useState<string>();
    const { moment } = useMoment();
    const call = JSON.stringify(toTrialCall(moment));
    const sentence = trace?.sentence;
    useEffect(() => {
        if (!sentence) return;
        const was = last.current;
        if (was?.call !== call) setBefore(undefined);
        else if (was.sentence !== sentence && was.stamp !== stamp) setBefore(was.sentence);
        else if (was.sentence === sentence) return;
        last.current = { call, stamp, sentence };
    }, [call, stamp, sentence]);
    return before === sentence ? undefined : before;
}

function Hold({ trace }: { trace: Trace }) {
    if (!trace.holds.until) return <span className="quiet">Always the same.</span>;
    const until = trace.holds.until;
    const sameDay = until.slice(0, 10) === trace.call.at.slice(0, 10);
    const day = new Date(`${until.slice(0, 10)}T12:00:00Z`).toLocaleDateString('en-GB', {
        weekday: 'short',
        day: 'numeric',
        month: 'short',
        ...(until.slice(0, 4) === trace.call.at.slice(0, 4) ? {} : { year: 'numeric' }),
        timeZone: 'UTC',
    });
    const time = until.slice(17, 19) === '00' ? until.slice(11, 16) : until.slice(11, 19);
    return (
        <span className="quiet nowrap">
            The same until {sameDay ? '' : `${day} `}
            {time} at least.
        </span>
    );
}
