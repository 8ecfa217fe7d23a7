import { Button } from 'antd';
import { type CSSProperties, type ReactNode, useEffect, useRef, useState } from 'react';
import type { Step } from '../api/types';
import { typedEntry } from './outlineKeys';
import { STEP_KINDS } from './steps';

/** Letters typed within this time of each other are one word. */
const ONE_WORD = 1200;

/** Asks which kind of step to insert. Typed letters lead to a kind, Enter chooses it. */
export function Inserter({
    depth,
    onChoose,
    line,
    onCancel,
}: {
    depth: number;
    onChoose: (kind: Step['do']) => void;
    /** Where a step is typed, with what it begins with. */
    line: (begun: string) => ReactNode;
    onCancel: () => void;
}) {
    const box = useRef<HTMLDivElement>(null);
    const typed = useRef({ word: '', at: 0 });
    const [begun, setBegun] = useState('');
    useEffect(() => box.current?.querySelector('button')?.focus(), []);
    const type = (letter: string, at: number): number => {
        const word = at - typed.current.at < ONE_WORD ? typed.current.word + letter : letter;
        typed.current = { word, at };
        const labels = STEP_KINDS.map((kind) => kind.label);
        const found = typedEntry(labels, word);
        // A letter that does not go on with the word begins another.
        return found < 0 && word !== letter ? type(letter, at + ONE_WORD) : found;
    };
    return (
        <div
            ref={box}
            className="inserter"
            role="toolbar"
            aria-label="Which step"
            style={{ '--depth': depth } as CSSProperties}
            onKeyDown={(event) => {
                const buttons = [...(box.current?.querySelectorAll('button') ?? [])];
                const at = buttons.indexOf(document.activeElement as HTMLButtonElement);
                if (event.key === 'Escape') onCancel();
                // A word and a space begin a line.
                else if (
                    event.key === ' ' &&
                    event.timeStamp - typed.current.at < ONE_WORD &&
                    typed.current.word.length > 1
                )
                    setBegun(`${STEP_KINDS[at]?.do === 'again' ? 'back' : typed.current.word} `);
                else if (event.key === 'ArrowRight') buttons[(at + 1) % buttons.length]?.focus();
                else if (event.key === 'ArrowLeft') buttons.at(at - 1)?.focus();
                else if (/^\p{Letter}$/u.test(event.key) && !event.ctrlKey && !event.metaKey)
                    buttons[type(event.key, event.timeStamp)]?.focus();
                else return;
                event.preventDefault();
                event.stopPropagation();
            }}
        >
            {STEP_KINDS.map((kind) => (
                <Button key={kind.do} size="small" title={kind.about} onClick={() => onChoose(kind.do)}>
                    {kind.label}
                </Button>
            ))}
            <Button size="small" type="text" onClick={onCancel}>
                Cancel
            </Button>
            <span className="quiet">Type to find, Enter inserts; a word and a space begin a line</span>
            {line(begun)}
        </div>
    );
}
