import { Link } from 'react-router';
import type { Kind } from '../../api/types';
import { useMoment } from '../../moment/useMoment';
import { KINDS } from '../../plan/kinds';
import { usePlan } from '../../plan/usePlan';
import { PlayPrompt } from '../../sound/PlayButton';
import { ElementPicker } from '../../ui/ElementPicker';
import { PhoneNumberText } from '../../ui/PhoneNumberField';

/** What a step is about, with a way there. */
export function Name({ id, missing }: { id: string | null; missing: string }) {
    const plan = usePlan();
    const { search } = useMoment();
    if (id?.startsWith('+')) {
        return (
            <b>
                <PhoneNumberText number={id} />
            </b>
        );
    }
    const element = plan?.find(id);
    return element ? (
        <>
            <Link
                className="quiet-link"
                tabIndex={-1}
                to={{ pathname: `/${KINDS[element.kind].path}/${element.id}`, search }}
            >
                {element.name}
            </Link>
            {element.kind === 'prompt' && <PlayPrompt id={element.id} tabIndex={-1} />}
        </>
    ) : (
        <span className="missing">{missing}</span>
    );
}

/** What a step is about, chosen or made right there. */
export function Pick({
    label,
    kind,
    value,
    onPick,
}: {
    label: string;
    kind: Kind;
    value: string | null;
    onPick: (id: string | null) => void;
}) {
    return (
        <>
            <ElementPicker autoFocus label={label} kinds={[kind]} value={value} onChange={onPick} />
            {kind === 'prompt' && <PlayPrompt id={value} />}
        </>
    );
}
