import { Button, Select } from 'antd';
import { TAKING_CALLS } from '../plan/kinds';
import { ElementPicker } from '../ui/ElementPicker';
import { missingLanguages } from '../ui/LanguageSelect';
import { useChangeNumbers } from './useChangeNumbers';

/** Changes all numbers that are chosen alike, as one edit. */
export function ChangeMany({ ids, onClear }: { ids: string[]; onClear: () => void }) {
    const { mutate } = useChangeNumbers();
    return (
        <div className="line-row wrap" role="group" aria-label="Numbers that are chosen">
            <b>{ids.length === 1 ? 'One is chosen:' : `${ids.length} are chosen:`}</b>
            <span>point them at</span>
            <ElementPicker
                label="Point them at"
                kinds={TAKING_CALLS}
                placeholder="somebody or something"
                value={null}
                onChange={(target) => target && mutate({ ids, change: { target } })}
            />
            <span>move them to</span>
            <ElementPicker
                label="Move them to a site"
                kinds={['site']}
                placeholder="a site"
                value={null}
                onChange={(site) => site && mutate({ ids, change: { site } })}
            />
            <span>in</span>
            <Select
                aria-label="Language of all of them"
                style={{ width: 140 }}
                placeholder="a language"
                value={null}
                options={missingLanguages([])}
                onChange={(language: string | null) => language && mutate({ ids, change: { language } })}
            />
            <Button size="small" onClick={onClear}>
                Choose none
            </Button>
        </div>
    );
}
