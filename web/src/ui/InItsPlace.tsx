import { useQueryClient } from '@tanstack/react-query';
import { App, Button } from 'antd';
import { api, ask } from '../api/client';
import type { Kind } from '../api/types';
import { patchDraft } from '../plan/usePlan';
import { useWrite } from '../plan/writes';
import { ElementPicker } from './ElementPicker';

interface Props {
    id: string;
    /** Of which an element may stand wherever this one is used. */
    kinds: Kind[];
    put: string | null;
    onPut: (put: string | null) => void;
    /** What uses it, and which of that goes on doing so. */
    users: string[];
    staying: string[];
}

/** Puts another element in the place of this one, as one edit; this one stays in the plan. */
export function InItsPlace({ id, kinds, put, onPut, users, staying }: Props) {
    const queries = useQueryClient();
    const told = useWrite();
    const { message } = App.useApp();
    const many = users.length - staying.length;

    const go = async () => {
        if (!put) return;
        const params = { path: { id } };
        const body = { put, ...(staying.length > 0 ? { in: users.filter((one) => !staying.includes(one)) } : {}) };
        const change = await told(() => ask(api.POST('/api/plans/draft/elements/{id}/in-its-place', { params, body })));
        if (!change) return;
        patchDraft(queries, change);
        onPut(null);
        message.success(`${change.label}. Undo takes it back.`);
    };

    return (
        <div className="line-row wrap">
            <span>Put</span>
            <ElementPicker
                kinds={kinds}
                value={put}
                onChange={onPut}
                label="What takes its place"
                placeholder="another"
                exclude={[id]}
                clearable
            />
            <span>in its place</span>
            <Button size="small" disabled={!put || many === 0} onClick={go}>
                {many === users.length ? 'Put it there' : `Put it in ${many} of ${users.length}`}
            </Button>
        </div>
    );
}
