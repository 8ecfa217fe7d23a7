import { Button } from 'antd';
import { api, ask } from '../api/client';
import type { Element } from '../api/types';
import { toTrialCall } from '../moment/trialCall';
import { useAnswer } from '../moment/useAnswer';
import { useGo, useMoment } from '../moment/useMoment';
import { KINDS } from '../plan/kinds';
import { useEdit } from '../plan/useEdit';
import { useWrite } from '../plan/writes';

/** Makes a promise of the answer on screen: from now on it is held against every moment. */
export function ExpectThis() {
    const { moment } = useMoment();
    const { add } = useEdit();
    const told = useWrite();
    const go = useGo();
    const called = useAnswer().data?.call;
    if (moment.in !== 'draft' || called?.to !== moment.to || called.named === null) return null;
    const expect = async () => {
        const suggested = await told(() => ask(api.POST('/api/expected', { body: toTrialCall(moment) })));
        const made = suggested && (await add(suggested as unknown as Omit<Element, 'id'>));
        if (made) go(`/${KINDS.expectation.path}/${made}`, { isNew: true });
    };
    return (
        <Button size="small" type="text" onClick={expect}>
            Expect this
        </Button>
    );
}
