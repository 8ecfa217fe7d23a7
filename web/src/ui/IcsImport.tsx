import { Modal } from 'antd';
import { useState } from 'react';
import type { Element, ImportPreview } from '../api/types';
import { FileButton, whyRefused } from './FileButton';

/** Reads an .ics file, shows what it would do, and takes it over only when asked to. */
export function IcsImport({
    preview,
    onTake,
    about,
}: {
    preview: (ics: string) => Promise<ImportPreview>;
    onTake: (element: Element) => void;
    about: string;
}) {
    const [found, setFound] = useState<ImportPreview>();
    const [problem, setProblem] = useState<string>();

    const read = async (text: string) => {
        setProblem(undefined);
        try {
            setFound(await preview(text));
        } catch (error) {
            setProblem(whyRefused(error));
        }
    };
    const changes = (found?.added.length ?? 0) + (found?.changed.length ?? 0);

    return (
        <>
            <FileButton
                label="Bring in an .ics file …"
                fileLabel="Calendar file"
                accept=".ics,text/calendar"
                onText={read}
            />
            {problem && (
                <p className="alarm" role="alert">
                    {problem}
                </p>
            )}
            {found && (
                <Modal
                    open
                    title="What the file would bring"
                    okText={changes === 0 ? 'Nothing to take over' : `Take over ${changes}`}
                    okButtonProps={{ disabled: changes === 0 }}
                    onOk={() => {
                        onTake(found.element);
                        setFound(undefined);
                    }}
                    onCancel={() => setFound(undefined)}
                    width={620}
                >
                    <p className="quiet">{about} Nothing is changed until you take it over; Undo takes it back.</p>
                    <List title="Added" items={found.added} />
                    <List title="Changed" items={found.changed} />
                    <List title="Left out" items={found.leftOut.map((one) => `${one.what}: ${one.why}`)} />
                    <List title="Already so" items={found.unchanged} />
                </Modal>
            )}
        </>
    );
}

function List({ title, items }: { title: string; items: string[] }) {
    if (items.length === 0) return null;
    return (
        <details open={items.length <= 12}>
            <summary>
                {title} ({items.length})
            </summary>
            <ul className="import-list">
                {items.map((item) => (
                    <li key={item}>{item}</li>
                ))}
            </ul>
        </details>
    );
}
