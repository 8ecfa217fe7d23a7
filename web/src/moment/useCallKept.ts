import { App } from 'antd';
import { useEffect, useRef } from 'react';
import { RefusedError } from '../api/client';
import { usePlan } from '../plan/usePlan';
import type { Moment } from './moment';
import { NO_ACTS, toTrialCall } from './trialCall';
import { useAnswer } from './useAnswer';
import { useMoment } from './useMoment';

const NOTHING_ASSUMED = { ...NO_ACTS, last: {}, earlier: {}, taken: {}, down: [] } satisfies Partial<Moment>;

/**
 * A call from which an edit has taken what it is made to goes on to the number that is dialled instead, or else to the first of the
 * plan; where something is assumed of whoever is gone, nothing is assumed any more.
 */
export function useCallKept() {
    const { moment, change } = useMoment();
    const plan = usePlan();
    const { data, error, isPlaceholderData } = useAnswer();
    const { message } = App.useApp();
    const answered = useRef<{ call: string; number: string | undefined }>(undefined);
    const call = JSON.stringify(toTrialCall(moment));
    const refused = error instanceof RefusedError ? error.problem.errors : undefined;

    useEffect(() => {
        const { number, call: before } = answered.current ?? {};
        if (data && !isPlaceholderData) {
            answered.current = { call, number: plan?.all('number').find((one) => one.number === moment.to)?.id };
        } else if (refused && plan && before === call) {
            const isGone = refused.some((one) => one.pointer === '/to');
            const instead = plan.get('number', number)?.number;
            if (!isGone)
                message.info('Nothing is assumed any more: somebody or something of it is gone from the plan.');
            else if (!instead) message.info('What was called is not in the plan any more.');
            change({
                ...(isGone ? { to: instead ?? '' } : {}),
                ...(isGone && instead ? {} : NOTHING_ASSUMED),
            });
        }
    }, [data, isPlaceholderData, refused, call, plan, moment.to, change, message]);
}
