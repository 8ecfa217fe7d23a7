import { Button, Dropdown, Input } from 'antd';
import type { TextAreaRef } from 'antd/es/input/TextArea';
import { type ReactNode, useRef } from 'react';
import { Field } from '../ui/Field';
import { useTyped } from '../ui/useTyped';
import styles from './prompts.module.css';

/** What can be left open in a script, and filled at the moment of the call. */
const BLANKS = [
    { key: '{opening}', label: 'when it opens next: “tomorrow at eight”' },
    { key: '{date}', label: 'today’s date: “Monday the third of May”' },
    { key: '{position}', label: 'the place in the queue: “three”' },
    { key: '{wait}', label: 'the likely wait: “about five minutes”' },
    { key: '{name}', label: 'the name of whoever is called' },
];

/** A script, saved when the field is left; blanks are put in where the cursor is, also behind a space that is not saved. */
export function ScriptField(props: {
    label: string;
    value: string;
    disabled: boolean;
    error: string | undefined;
    hint: ReactNode;
    onSave: (text: string) => void;
}) {
    const { label, value, disabled, error, hint, onSave } = props;
    const { typed: text, setTyped: setText, save } = useTyped(value, onSave);
    const area = useRef<TextAreaRef>(null);
    const put = (blank: string) => {
        const input = area.current?.resizableTextArea?.textArea;
        const at = input?.selectionStart ?? text.length;
        const next = text.slice(0, at) + blank + text.slice(input?.selectionEnd ?? at);
        setText(next);
        save(next);
        input?.focus();
    };
    return (
        <div className={styles.script}>
            <Field label={label} error={error} hint={hint} wide>
                {(a11y) => (
                    <Input.TextArea
                        {...a11y}
                        ref={area}
                        rows={3}
                        value={text}
                        disabled={disabled}
                        onChange={(event) => setText(event.target.value)}
                        onBlur={() => save(text.trim())}
                    />
                )}
            </Field>
            {!disabled && (
                <Dropdown trigger={['click']} menu={{ items: BLANKS, onClick: ({ key }) => put(key) }}>
                    <Button size="small" type="text">
                        Put in a blank …
                    </Button>
                </Dropdown>
            )}
        </div>
    );
}
