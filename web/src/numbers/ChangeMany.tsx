import { useMutation, useQueryClient } from '@tanstack/react-query';
import { App, Button, Select } from 'antd';
import { api, ask } from '../api/client';
import { TAKING_CALLS } from '../plan/kinds';
import { patchDraft } from '../plan/usePlan';
import { ElementPicker } from '../ui/ElementPicker';
import { missingLanguages } from '../ui/LanguageSelect';

interface Alike {
    target?: string | null;
    site?: string;
    language?: string;
}

/** Changes all numbers that are chosen alike, as one edit. */
export function ChangeMany({ ids, onClear }: { ids: string[]; onClear: () => void }) {
    const queries = useQueryClient();
    const { message } = App.useApp();
    const change = useMutation({
        mutationFn: (alike: Alike) => ask(api.POST('/api/plans/draft/numbers', { body: { ids, change: alike } })),
        onSuccess: (changed) => {
            patchDraft(queries, changed);
            message.success(`${changed.label}. Undo takes it back.`);
        },
    });
    return (
        <div className="line-row wrap" role="group" aria-label="Numbers that are chosen">
            <b>{ids.length === 1 ? 'One is chosen:' : `${ids.length} are chosen:`}</b>
            <span>point them at</span>
            <ElementPicker
                label="Point them at"
                kinds={TAKING_CALLS}
                placeholder="somebody or something"
                value={null}
                onChange={(target) => target && change.mutate({ target })}
            />
            <span>move them to</span>
            <ElementPicker
                label="Move them to a site"
                kinds={['site']}
                placeholder="a site"
                value={null}
                onChange={(site) => site && change.mutate({ site })}
            />
            <span>in</span>
            <Select
                aria-label="Language of all of them"
                style={{ width: 140 }}
                placeholder="a language"
                value={null}
                options={missingLanguages([])}
                onChange={(language: string | null) => language && change.mutate({ language })}
            />
            <Button size="small" onClick={onClear}>
                Choose none
            </Button>
        </div>
    );
}
