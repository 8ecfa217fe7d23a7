import { App, Button, Input } from 'antd';
import { api, ask } from '../api/client';
import type { Calendar } from '../api/types';
import { useMomentZone } from '../moment/useAnswer';
import { useMoment } from '../moment/useMoment';
import { IcsImport } from '../ui/IcsImport';

/** A calendar as a file, in and out, and the address at which other programs read it. */
export function FileExchange({
    value,
    change,
    disabled,
}: {
    value: Calendar;
    change: (next: Calendar) => void;
    disabled: boolean;
}) {
    const { moment } = useMoment();
    const { message } = App.useApp();
    const zone = useMomentZone();
    const address = `${window.location.origin}/api/plans/live/calendars/${value.id}.ics`;
    return (
        <>
            <h2>Calendar files</h2>
            <div className="line-row wrap">
                <Button size="small" href={`/api/plans/${moment.in}/calendars/${value.id}.ics`}>
                    Take away as .ics
                </Button>
                {!disabled && (
                    <IcsImport
                        preview={(ics) =>
                            ask(
                                api.POST('/api/plans/draft/calendars/{id}/import', {
                                    params: { path: { id: value.id } },
                                    body: { ics, zone },
                                }),
                            )
                        }
                        onTake={(element) => element.kind === 'calendar' && change(element)}
                        about={`Timed events are taken over on the wall clock of ${zone}.`}
                    />
                )}
            </div>
            <div className="line-row">
                <Input
                    aria-label="Address to subscribe to"
                    size="small"
                    readOnly
                    value={address}
                    onFocus={(event) => event.target.select()}
                />
                <Button
                    size="small"
                    onClick={async () => {
                        try {
                            await navigator.clipboard.writeText(address);
                            message.success('Copied.');
                        } catch {
                            message.info('Select the address and copy it.');
                        }
                    }}
                >
                    Copy
                </Button>
            </div>
            <p className="about">
                Other calendar programs can subscribe to this address; they see the calendar as it is live, and cannot
                change it.
            </p>
        </>
    );
}
