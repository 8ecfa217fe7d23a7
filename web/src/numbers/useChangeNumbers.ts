import { useMutation, useQueryClient } from '@tanstack/react-query';
import { App } from 'antd';
import { api, ask } from '../api/client';
import { patchDraft } from '../plan/usePlan';

/** What numbers can be given alike. */
interface Alike {
    target?: string | null;
    site?: string;
    language?: string;
}

/** Changes one number or many alike, as one edit, and says so. */
export function useChangeNumbers() {
    const queries = useQueryClient();
    const { message } = App.useApp();
    return useMutation({
        mutationFn: ({ ids, change }: { ids: string[]; change: Alike }) =>
            ask(api.POST('/api/plans/draft/numbers', { body: { ids, change } })),
        onSuccess: (changed) => {
            patchDraft(queries, changed);
            message.success(`${changed.label}. Undo takes it back.`);
        },
    });
}
