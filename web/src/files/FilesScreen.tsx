import { useQueryClient } from '@tanstack/react-query';
import { App, Button, Input } from 'antd';
import { useRef, useState } from 'react';
import { api, ask, RefusedError } from '../api/client';
import type { Change, FieldError, Pending, PlanFile } from '../api/types';
import { ChangedElements, countWords, elementWords } from '../editions/ChangedElements';
import { useEditions } from '../editions/useEditions';
import { useGo, useMoment } from '../moment/useMoment';
import { patchDraft, usePlan } from '../plan/usePlan';
import { upload } from '../sound/uploads';
import { Field } from '../ui/Field';
import { FileButton } from '../ui/FileButton';
import { SettingsSheet } from './SettingsSheet';

/** A plan that is about to take the draft's place, and what it would change. */
interface Brought {
    from: string;
    /** Its name; undefined where only the server has read it. */
    name: string | undefined;
    changes: Pending;
    bring: (header: { 'If-Match': string }) => Promise<Change>;
}

const emptyPlan = (name: string) => ({ meandros: 1, name, elements: [] }) as Partial<PlanFile> as PlanFile;

/** Plans as files: taken away, brought in after a look at what would change, or started afresh. */
export function FilesScreen() {
    const plan = usePlan();
    const queries = useQueryClient();
    const { message } = App.useApp();
    const { moment } = useMoment();
    const go = useGo();
    const [brought, setBrought] = useState<Brought>();
    const [errors, setErrors] = useState<FieldError[]>([]);
    const [name, setName] = useState('');

    const refuse = (error: unknown) => {
        const problem = error instanceof RefusedError ? error.problem : undefined;
        setErrors(problem?.errors ?? [{ pointer: '', detail: problem?.detail ?? String(error), remedy: '' }]);
    };
    const show = async (from: string, read: () => Promise<Omit<Brought, 'from'>>) => {
        setBrought(undefined);
        setErrors([]);
        try {
            setBrought({ from, ...(await read()) });
        } catch (error) {
            refuse(error instanceof SyntaxError ? new Error(`This file is not JSON: ${error.message}.`) : error);
        }
    };
    const look = (from: string, read: () => Promise<PlanFile> | PlanFile) =>
        show(from, async () => {
            const file = await read();
            return {
                name: file.name,
                changes: await ask(api.POST('/api/plans/draft/file/preview', { body: file })),
                bring: (header) => ask(api.PUT('/api/plans/draft/file', { params: { header }, body: file })),
            };
        });
    const startEmpty = () => name.trim() && look('the empty plan', () => emptyPlan(name.trim()));
    const lookAtBundle = (file: File) =>
        show('the bundle', async () => {
            const body = { upload: await upload(file) };
            return {
                name: undefined,
                changes: await ask(api.POST('/api/plans/draft/bundle/preview', { body })),
                bring: (header) => ask(api.PUT('/api/plans/draft/bundle', { params: { header }, body })),
            };
        });
    const bringIn = async ({ from, name, changes, bring }: Brought) => {
        try {
            patchDraft(queries, await bring({ 'If-Match': `"${changes.revision}"` }));
            setBrought(undefined);
            message.success(`${name ?? from} is the draft now. Undo brings the one before back.`);
            go('/');
        } catch (error) {
            refuse(error);
        }
    };

    return (
        <div className="two even">
            <section className="sheet" aria-label="Bring in">
                <h1>Bring a plan in</h1>
                <p className="quiet">
                    It takes the draft’s place as one change that can be undone. Callers notice nothing until it is
                    published.
                </p>
                <div className="ways">
                    <FileButton
                        label="Choose a plan file …"
                        fileLabel="Plan file"
                        accept=".json,application/json"
                        onText={(text) => look('the file', () => JSON.parse(text) as PlanFile)}
                    />
                    <BundleButton onFile={lookAtBundle} />
                    <Button
                        size="small"
                        onClick={() => look('the demo plan', () => ask(api.GET('/api/demo-plan')) as Promise<PlanFile>)}
                    >
                        Start with the demo plan
                    </Button>
                </div>
                <Field label="Name of a new plan" hint="An empty plan to start with: a site first, then numbers">
                    {(a11y) => (
                        <Input
                            {...a11y}
                            value={name}
                            onChange={(event) => setName(event.target.value)}
                            onPressEnter={startEmpty}
                            maxLength={200}
                        />
                    )}
                </Field>
                <div className="ways">
                    <Button size="small" disabled={!name.trim()} onClick={startEmpty}>
                        Start with an empty plan
                    </Button>
                </div>
                {errors.length > 0 && (
                    <div className="notice alarm" role="alert">
                        <p>This cannot be brought in. Nothing was changed.</p>
                        <ul className="pending">
                            {errors.slice(0, 20).map((one) => (
                                <li key={one.pointer + one.detail}>
                                    {one.pointer && <code>{one.pointer}</code>} {one.detail} {one.remedy}
                                </li>
                            ))}
                            {errors.length > 20 && <li>and {errors.length - 20} more</li>}
                        </ul>
                    </div>
                )}
                {brought && (
                    <BroughtPreview
                        brought={brought}
                        onBringIn={() => bringIn(brought)}
                        onDrop={() => setBrought(undefined)}
                    />
                )}
            </section>
            <div className="stacked-sheets">
                <TakeAway which={moment.in} name={plan?.plan.name ?? ''} />
                <SettingsSheet />
            </div>
        </div>
    );
}

/** A plan with its sounds, which the server reads. */
function BundleButton({ onFile }: { onFile: (file: File) => Promise<void> }) {
    const input = useRef<HTMLInputElement>(null);
    const [isSending, setIsSending] = useState(false);
    return (
        <>
            <input
                ref={input}
                type="file"
                accept=".zip,application/zip"
                className="hidden"
                tabIndex={-1}
                aria-label="Plan with its sounds"
                onChange={async (event) => {
                    const file = event.target.files?.[0];
                    setIsSending(true);
                    if (file) await onFile(file);
                    setIsSending(false);
                    if (input.current) input.current.value = '';
                }}
            />
            <Button size="small" loading={isSending} onClick={() => input.current?.click()}>
                Choose one with its sounds …
            </Button>
        </>
    );
}

function BroughtPreview({
    brought: { from, name, changes },
    onBringIn,
    onDrop,
}: {
    brought: Brought;
    onBringIn: () => void;
    onDrop: () => void;
}) {
    const current = usePlan()?.plan.name;
    const isNamedSo = name === undefined || current === name;
    const same = changes.count === 0 && isNamedSo;
    return (
        <div className="notice" role="status">
            {changes.count === 0 ? (
                <p>
                    The elements of {from} are those of the draft already.{!isNamedSo && ` Its name is “${name}”.`}
                </p>
            ) : (
                <>
                    <p>
                        <b>{name ?? 'A plan with its sounds'}</b>: {from} would change {elementWords(changes.count)} (
                        {countWords(changes.counts)}).
                    </p>
                    <ChangedElements changes={changes} />
                </>
            )}
            <div className="ways">
                {!same && (
                    <Button type="primary" size="small" onClick={onBringIn}>
                        Bring it in
                    </Button>
                )}
                <Button size="small" onClick={onDrop}>
                    {same ? 'Close' : 'Leave the draft as it is'}
                </Button>
            </div>
        </div>
    );
}

function TakeAway({ which, name }: { which: string; name: string }) {
    const editions = useEditions();
    const link = (path: string, label: string) => (
        <li key={path}>
            <a href={`/api/plans/${path}/file`} download={`${label}.json`}>
                {label}
            </a>
            {' · '}
            <a href={`/api/plans/${path}/bundle`} download={`${label}.zip`} aria-label={`${label} with its sounds`}>
                with its sounds
            </a>
            {path === which && <span className="quiet"> · on screen now</span>}
        </li>
    );
    return (
        <section className="sheet" aria-label="Take away">
            <h1>Take a plan away</h1>
            <p className="quiet">
                A plan file holds all of {name || 'the plan'} as JSON: for keeping, for another Meandros, or for the
                command line. With its sounds, it is a ZIP.
            </p>
            <ul className="pending downloads">
                {link('draft', 'Draft')}
                {editions.length > 0 && link('live', 'Live')}
                {editions.slice(0, 20).map((edition) => link(String(edition.number), `Edition ${edition.number}`))}
            </ul>
        </section>
    );
}
