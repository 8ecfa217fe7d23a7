import { Button } from 'antd';
import { useFailed } from '../api/useFailed';
import { useEdit } from '../plan/useEdit';
import { usePlan } from '../plan/usePlan';
import { useServer } from '../plan/useServer';
import { useWrite } from '../plan/writes';

/** What stands above everything else: the server is away, or something that is stored needs somebody to see to it. */
export function ServerNotice() {
    const { away, alarms } = useServer();
    const { failure, askAgain } = useFailed();
    const unreadable = usePlan()?.plan.unreadable ?? [];
    const { save, remove } = useEdit();
    const told = useWrite();
    if (!away && !failure && alarms.length === 0 && unreadable.length === 0) return null;
    return (
        <div className="server-notice" role="alert">
            {away && (
                <p>
                    <b>Not connected.</b> {away} Meandros goes on by itself when it is back.
                </p>
            )}
            {failure && !away && (
                <p>
                    <b>Not all that belongs here could be looked up.</b> {failure}{' '}
                    <Button size="small" onClick={askAgain}>
                        Ask again
                    </Button>
                </p>
            )}
            {alarms.map((alarm) => (
                <p key={alarm}>
                    <b>Alarm.</b> {alarm}
                </p>
            ))}
            {unreadable.map(({ lastGood, ...one }) => (
                <p key={one.id}>
                    <b>“{one.name}” cannot be read</b> and is left out of the draft ({one.detail}){' '}
                    {lastGood && (
                        <Button size="small" onClick={() => told(() => save(lastGood))}>
                            Put its last good state back
                        </Button>
                    )}{' '}
                    <Button size="small" danger onClick={() => remove(one)}>
                        Delete it
                    </Button>
                </p>
            ))}
        </div>
    );
}
