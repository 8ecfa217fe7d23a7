import { Button, Dropdown, Radio } from 'antd';
import type { Prompt, Take } from '../api/types';
import { PlayPrompt, SoundButton } from '../sound/PlayButton';
import { soundAddress } from '../sound/player';
import { RemoveButton } from '../ui/RowButtons';
import { TextField } from '../ui/TextField';
import { dateWords } from '../ui/when';
import { without } from '../ui/without';
import { type Part, partKey } from './part';
import styles from './prompts.module.css';

const seconds = (milliseconds: number) => `${(milliseconds / 1000).toFixed(1)} s`;

/** As it is, and as telephone systems may want it (ITU-T G.711). */
const codings = (sound: string) =>
    [
        { key: 'wav', name: 'WAV, 16 bits', address: soundAddress(sound) },
        { key: 'alaw', name: 'G.711 A-law', address: `${soundAddress(sound)}?as=alaw` },
        { key: 'ulaw', name: 'G.711 µ-law', address: `${soundAddress(sound)}?as=ulaw` },
    ].map(({ key, name, address }) => ({
        key,
        label: (
            <a href={address} download>
                {name}
            </a>
        ),
    }));

/** What callers hear of a part: one of the takes, or the machine voice. */
export function Takes({
    value,
    part,
    disabled,
    change,
}: {
    value: Prompt;
    part: Part;
    disabled: boolean;
    change: (next: Prompt) => void;
}) {
    const key = partKey(part);
    const takes = value.takes.filter((take) => take.language === part.language && take.part === part.number);
    const machine = value.machine[key];
    const use = (id: string | null) => {
        change({ ...value, inUse: id === null ? without(value.inUse, key) : { ...value.inUse, [key]: id } });
    };
    const put = (take: Take) =>
        change({ ...value, takes: value.takes.map((one) => (one.id === take.id ? take : one)) });
    const remove = (take: Take) => {
        change({
            ...value,
            inUse: value.inUse[key] === take.id ? without(value.inUse, key) : value.inUse,
            takes: value.takes.filter((one) => one.id !== take.id),
        });
    };
    return (
        <fieldset className="choice">
            <legend>Callers hear, in {part.name}</legend>
            <Radio.Group
                className={styles.takes}
                value={value.inUse[key] ?? ''}
                disabled={disabled}
                onChange={(event) => use(event.target.value || null)}
            >
                {takes.map((take, i) => (
                    <div key={take.id} className={styles.take}>
                        <Radio value={take.id}>
                            Take {i + 1}
                            {take.voice && ` by ${take.voice}`}
                        </Radio>
                        <SoundButton
                            name={`take ${i + 1} in ${part.name}`}
                            soundKey={take.id}
                            find={() => [soundAddress(take.sound)]}
                        />
                        <span className="figures">{seconds(take.milliseconds)}</span>
                        <span className="quiet">
                            {take.at && dateWords(take.at.slice(0, 10))} {take.by && `from ${take.by}`}
                        </span>
                        <TextField
                            label={`Note on take ${i + 1} in ${part.name}`}
                            placeholder="Note"
                            value={take.note}
                            disabled={disabled}
                            onSave={(note) => put({ ...take, note })}
                        />
                        <span className={styles.end}>
                            <Dropdown trigger={['click']} menu={{ items: codings(take.sound) }}>
                                <Button size="small" type="text">
                                    Take away …
                                </Button>
                            </Dropdown>
                            {!disabled && (
                                <RemoveButton
                                    label={`Remove take ${i + 1} in ${part.name}`}
                                    onClick={() => remove(take)}
                                />
                            )}
                        </span>
                    </div>
                ))}
                <div className={styles.take}>
                    <Radio value="">the machine voice, reading the script</Radio>
                    {machine && (
                        <SoundButton
                            name={`the machine voice in ${part.name}`}
                            soundKey={`${value.id}/machine/${key}`}
                            find={() => [soundAddress(machine.sound)]}
                        />
                    )}
                    {!machine && part.words && <PlayPrompt id={value.id} language={part.language} />}
                    {machine && <span className="figures">{seconds(machine.milliseconds)}</span>}
                </div>
            </Radio.Group>
        </fieldset>
    );
}
