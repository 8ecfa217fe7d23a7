import type { Queue } from '../api/types';
import { ElementField } from '../ui/ElementField';
import { type EditorProps, ElementScreen } from '../ui/ElementScreen';
import { FindingsAt } from '../ui/FindingsAt';
import { AdmissionSection } from './AdmissionSection';
import { AgentsSection } from './AgentsSection';
import { AskingSection } from './AskingSection';
import { CallbackSection } from './CallbackSection';
import { OverflowPicture } from './OverflowPicture';
import { PromiseSection } from './PromiseSection';
import { QueueStateLine } from './QueueStateLine';
import { WaitingSection } from './WaitingSection';
import { WaitScale } from './WaitScale';

export function QueuesScreen() {
    return (
        <ElementScreen
            kind="queue"
            empty="There is no queue yet. Name one below, then say who takes its calls."
            note={({ members, asking }) =>
                `${members.length} ${members.length === 1 ? 'agent' : 'agents'}, ${asking.order}`
            }
            editor={(props) => <QueueEditor {...props} />}
        />
    );
}

function QueueEditor(props: EditorProps<Queue>) {
    const { value, change, error, disabled } = props;
    return (
        <>
            <WaitScale queue={value} />
            <FindingsAt pointer="/waiting" />
            <h2>When the trial call comes to it</h2>
            <QueueStateLine queue={value} />
            <AgentsSection {...props} />
            <FindingsAt pointer="/members" />
            <AskingSection {...props} />
            <FindingsAt pointer="/asking" />
            <FindingsAt pointer="/rank" />
            <WaitingSection {...props} />
            <FindingsAt pointer="/recording" />
            <CallbackSection {...props} />
            <FindingsAt pointer="/callback" />
            <AdmissionSection {...props} />
            <PromiseSection {...props} />
            <FindingsAt pointer="/promise" />
            <h2>Where calls go that nobody takes</h2>
            <div className="fields">
                <ElementField
                    label="Its own mailbox"
                    hint="For calls that are sent straight here; a journey says itself what comes next"
                    error={error('/mailbox')}
                    kind="mailbox"
                    none="none: the call ends"
                    value={value.mailbox}
                    disabled={disabled}
                    onChange={(mailbox) => change({ ...value, mailbox })}
                />
            </div>
            <OverflowPicture queue={value.id} />
        </>
    );
}
