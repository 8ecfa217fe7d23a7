import { Button } from 'antd';
import { useEffect, useRef } from 'react';
import type { Step } from '../api/types';
import { STEP_KINDS } from './steps';

/** Asks which kind of step to insert; each kind has a key of its own. */
export function Inserter({
    depth,
    onChoose,
    onCancel,
}: {
    depth: number;
    onChoose: (kind: Step['do']) => void;
    onCancel: () => void;
}) {
    const box = useRef<HTMLDivElement>(null);
    useEffect(() => box.current?.querySelector('button')?.focus(), []);
    return (
        <div
            ref={box}
            className="inserter"
            role="toolbar"
            aria-label="Which step"
            style={{ paddingLeft: 74 + depth * 24 }}
            onKeyDown={(event) => {
                const buttons = [...(box.current?.querySelectorAll('button') ?? [])];
                const at = buttons.indexOf(document.activeElement as HTMLButtonElement);
                if (event.key === 'Escape') onCancel();
                else if (event.key === 'ArrowRight') buttons[(at + 1) % buttons.length]?.focus();
                else if (event.key === 'ArrowLeft') buttons.at(at - 1)?.focus();
                else {
                    const kind = STEP_KINDS.find((one) => one.key === event.key.toLowerCase());
                    if (!kind) return;
                    onChoose(kind.do);
                }
                event.preventDefault();
                event.stopPropagation();
            }}
        >
            {STEP_KINDS.map((kind) => (
                <Button
                    key={kind.do}
                    size="small"
                    title={`${kind.about} (key ${kind.key})`}
                    onClick={() => onChoose(kind.do)}
                >
                    {kind.label}
                </Button>
            ))}
            <Button size="small" type="text" onClick={onCancel}>
                Cancel
            </Button>
        </div>
    );
}
