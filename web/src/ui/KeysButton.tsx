import { Button, Input, Modal } from 'antd';
import { useState } from 'react';
import { Field } from './Field';
import { chooseKeys, readKeys, SINGLE_KEYS, type SingleKey, useSingleKeys, withKey } from './singleKeys';

const OTHERS = [
    ['Ctrl Z, Ctrl Y', 'Take back, do again'],
    ['↑ ↓ ← Home End', 'From row to row of an outline'],
    ['Enter', 'Edit a row; Escape is done'],
    ['+ or Insert', 'Insert below; type to find the step, Enter inserts'],
    ['Alt and arrows', 'Move a step'],
    ['Delete', 'Remove a row'],
] as const;

/** Every key there is; those of a single character can be changed or switched off. */
export function KeysButton() {
    const [open, setOpen] = useState(false);
    const keys = useSingleKeys();
    return (
        <>
            <Button size="small" type="text" onClick={() => setOpen(true)}>
                Keys
            </Button>
            <Modal
                title="Keys"
                open={open}
                onCancel={() => setOpen(false)}
                footer={
                    <>
                        <Button onClick={() => chooseKeys(readKeys(null))}>As usual</Button>
                        <Button type="primary" onClick={() => setOpen(false)}>
                            Done
                        </Button>
                    </>
                }
            >
                <p className="quiet">
                    These act wherever nobody types. Type another character, or none to switch it off.
                </p>
                {(Object.keys(SINGLE_KEYS) as SingleKey[]).map((name) => (
                    <Field key={name} label={SINGLE_KEYS[name].does}>
                        {(a11y) => (
                            <Input
                                {...a11y}
                                className="single-key"
                                value={keys[name]}
                                onChange={(event) =>
                                    chooseKeys(withKey(keys, name, [...event.target.value.trim()].at(-1) ?? ''))
                                }
                            />
                        )}
                    </Field>
                ))}
                <dl className="key-list">
                    {OTHERS.map(([key, does]) => (
                        <div key={key}>
                            <dt>{key}</dt>
                            <dd>{does}</dd>
                        </div>
                    ))}
                </dl>
            </Modal>
        </>
    );
}
