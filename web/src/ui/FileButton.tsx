import { Button } from 'antd';
import { useRef } from 'react';
import { RefusedError } from '../api/client';

/** Reads a text file that people choose. The same file may be chosen again after it was mended. */
export function FileButton({
    label,
    fileLabel,
    accept,
    onText,
}: {
    label: string;
    fileLabel: string;
    accept: string;
    onText: (text: string) => void;
}) {
    const input = useRef<HTMLInputElement>(null);
    return (
        <>
            <input
                ref={input}
                type="file"
                accept={accept}
                className="hidden"
                tabIndex={-1}
                aria-label={fileLabel}
                onChange={async (event) => {
                    const file = event.target.files?.[0];
                    const text = await file?.text();
                    if (input.current) input.current.value = '';
                    if (text !== undefined) onText(text);
                }}
            />
            <Button size="small" onClick={() => input.current?.click()}>
                {label}
            </Button>
        </>
    );
}

/** Why a file was refused: the first reason, with its remedy. */
export function whyRefused(error: unknown): string {
    const first = error instanceof RefusedError ? error.problem.errors?.[0] : undefined;
    return first ? `${first.detail} ${first.remedy}`.trim() : error instanceof Error ? error.message : String(error);
}
