import type { Mailbox } from '../api/types';
import { useAnswer } from '../moment/useAnswer';
import { type EditorProps, ElementScreen } from '../ui/ElementScreen';
import { FindingsAt } from '../ui/FindingsAt';
import { Greetings } from './Greetings';
import { MailboxKeys } from './MailboxKeys';
import { Messages } from './Messages';
import { WhoListens } from './WhoListens';

export function MailboxesScreen() {
    const { data: trace } = useAnswer();
    return (
        <ElementScreen
            kind="mailbox"
            empty="There is no mailbox yet. Name one below."
            note={(mailbox) =>
                [
                    trace?.ending.who === mailbox.id && 'takes this call',
                    !mailbox.takesMessages && 'only an announcement',
                    mailbox.away && 'another greeting for a while',
                ]
                    .filter(Boolean)
                    .join(' · ')
            }
            editor={(props) => <MailboxEditor {...props} />}
        />
    );
}

/** In the order of the call: what callers hear, what keys do meanwhile, the message, and who listens to it. */
function MailboxEditor(props: EditorProps<Mailbox>) {
    return (
        <>
            <h2>What callers hear</h2>
            <FindingsAt pointer="/greeting" />
            <FindingsAt pointer="/away" />
            <Greetings {...props} />
            <h2>Keys while they hear it</h2>
            <FindingsAt pointer="/keys/leaveTo" />
            <MailboxKeys {...props} />
            <h2>The message</h2>
            <Messages {...props} />
            <h2>Who listens</h2>
            <FindingsAt pointer="/owners" />
            <WhoListens {...props} />
        </>
    );
}
