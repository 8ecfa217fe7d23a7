import { useQueryClient } from '@tanstack/react-query';
import { App } from 'antd';
import { useEffect } from 'react';
import { RefusedError } from '../api/client';

/** Says why a write failed, unless the screen that asked for it says so at its fields. */
export function Refusals() {
    const queries = useQueryClient();
    const { notification } = App.useApp();
    useEffect(
        () =>
            queries.getMutationCache().subscribe((event) => {
                if (event.type !== 'updated' || event.action.type !== 'error' || event.mutation.meta?.silent) return;
                const { error } = event.action;
                notification.error({
                    message: error instanceof RefusedError ? error.problem.title : 'Something went wrong',
                    description: error instanceof RefusedError ? error.problem.detail : String(error),
                    placement: 'bottomRight',
                });
            }),
        [queries, notification],
    );
    return null;
}
