import { Button } from 'antd';
import { api, ask } from '../api/client';
import { useAnswer } from '../moment/useAnswer';
import { useMoment } from '../moment/useMoment';
import { usePlan } from '../plan/usePlan';
import { useWrite } from '../plan/writes';
import { type FindSounds, play, soundAddress, usePlaying } from './player';
import { type Filled, filledBy } from './soundtrack';

/** Plays a sound, or stops it. */
export function SoundButton({
    name,
    soundKey,
    find,
    tabIndex,
}: {
    name: string;
    soundKey: string;
    find: FindSounds;
    tabIndex?: number;
}) {
    const told = useWrite();
    const playing = usePlaying();
    const isOn = playing?.key === soundKey;
    return (
        <Button
            size="small"
            type="text"
            className="play"
            {...(tabIndex === undefined ? {} : { tabIndex })}
            aria-label={isOn ? `Stop ${name}` : `Listen to ${name}`}
            aria-pressed={isOn}
            onClick={(event) => {
                event.stopPropagation();
                told(() => play(soundKey, find));
            }}
        >
            <svg width="12" height="12" viewBox="0 0 12 12" aria-hidden="true" fill="currentColor">
                {isOn ? <path d="M2 2h8v8H2z" /> : <path d="M2.5 1v10l8-5z" />}
            </svg>
        </Button>
    );
}

/** Plays a prompt as this call would hear it: its takes, or the machine voice; blanks that are not filled have samples. */
export function PlayPrompt(props: {
    id: string | null;
    language?: string;
    filled?: Filled[] | undefined;
    tabIndex?: number;
}) {
    const { id, language, filled, tabIndex } = props;
    const plan = usePlan();
    const { moment } = useMoment();
    const spoken = useAnswer().data?.shown.language;
    const prompt = plan?.get('prompt', id);
    if (!prompt) return null;
    const wanted = language ?? spoken ?? 'en';
    return (
        <SoundButton
            name={language ? `${prompt.name} in ${wanted}` : prompt.name}
            soundKey={`${moment.in}/${prompt.id}/${language ?? ''}`}
            {...(tabIndex === undefined ? {} : { tabIndex })}
            find={async () => {
                const path = { which: moment.in, id: prompt.id };
                const heard = await ask(
                    api.GET('/api/plans/{which}/prompts/{id}/sound', {
                        params: { path, query: { language: wanted, ...filledBy(filled) } },
                    }),
                );
                return heard.pieces.map((piece) => soundAddress(piece.sound));
            }}
        />
    );
}
