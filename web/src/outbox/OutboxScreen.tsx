import { useInfiniteQuery, useMutation, useQueryClient } from '@tanstack/react-query';
import { Button } from 'antd';
import { api, ask } from '../api/client';
import type { Letter } from '../api/types';
import { SoundButton } from '../sound/PlayButton';
import { soundAddress } from '../sound/player';
import styles from './outbox.module.css';

const KEY = ['outbox'];
const AT_ONCE = 40;

/** The e-mails that trial calls sent: nothing leaves this machine, they are read here. */
export function OutboxScreen() {
    const queries = useQueryClient();
    const list = useInfiniteQuery({
        queryKey: KEY,
        queryFn: ({ pageParam: before }) =>
            ask(api.GET('/api/outbox', { params: { query: { most: AT_ONCE, ...(before ? { before } : {}) } } })),
        initialPageParam: 0,
        getNextPageParam: (page) => (page.letters.length === AT_ONCE ? page.letters.at(-1)?.id : undefined),
    });
    const clear = useMutation({
        mutationFn: () => ask(api.DELETE('/api/outbox')),
        onSuccess: () => queries.invalidateQueries({ queryKey: KEY }),
    });
    const letters = list.data?.pages.flatMap((page) => page.letters);
    return (
        <div className="one">
            <section className="sheet" aria-label="Outbox">
                <h1>Outbox</h1>
                <p className="quiet">
                    The e-mails of trial calls that were put here, the latest first. Nothing leaves this machine.
                </p>
                {list.error && <p className="notice alarm">{list.error.message}</p>}
                {letters?.length === 0 && (
                    <p className="quiet">
                        It is empty. Where a trial call sends an e-mail, a button at its second in “This call” puts it
                        here.
                    </p>
                )}
                <ol className={styles.letters}>
                    {letters?.map((letter) => (
                        <LetterRow key={letter.id} letter={letter} />
                    ))}
                </ol>
                <div className="line-row">
                    {list.hasNextPage && <Button onClick={() => list.fetchNextPage()}>Show more</Button>}
                    {letters && letters.length > 0 && (
                        <Button loading={clear.isPending} onClick={() => clear.mutate()}>
                            Empty the outbox
                        </Button>
                    )}
                </div>
            </section>
        </div>
    );
}

function LetterRow({ letter }: { letter: Letter }) {
    return (
        <li>
            <article aria-label={letter.subject}>
                <h2>{letter.subject}</h2>
                <p className="quiet">
                    to {letter.to} ·{' '}
                    <time dateTime={letter.sentAt}>
                        {new Date(letter.sentAt).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'medium' })}
                    </time>{' '}
                    · <a href={`/api/outbox/${letter.id}.eml`}>as a file</a>
                    {letter.sound && (
                        <>
                            {' '}
                            · with the message{' '}
                            <SoundButton
                                name={`the message of ${letter.subject}`}
                                soundKey={`letter/${letter.id}`}
                                find={() => [soundAddress(letter.sound ?? '')]}
                            />
                            , spoken by the machine
                        </>
                    )}
                </p>
                <pre>{letter.text}</pre>
            </article>
        </li>
    );
}
