import { Button } from 'antd';
import { useRef } from 'react';
import { useMoment } from '../moment/useMoment';
import { keepFile } from '../ui/keepFile';
import { useRemembered } from '../ui/useRemembered';
import { BriefInBackground } from './BriefInBackground';
import { type Choice, PaperChoices } from './PaperChoices';
import styles from './paper.module.css';
import { useBriefInFull } from './useBriefInFull';
import { usePaper } from './usePaper';

const FIRST: Choice = { kind: 'paper', language: 'en', number: null, before: null };

/** The plan on paper: to read through, to explain, and to sign. */
export function PaperScreen() {
    const { moment } = useMoment();
    const [choice, setChoice] = useRemembered<Choice>(['paper'], FIRST);
    const frame = useRef<HTMLIFrameElement>(null);
    const { html, error, isWritten, isTooLong, file } = usePaper(choice);
    const inFull = useBriefInFull(moment.in, choice);
    const written = isTooLong ? inFull.written : undefined;
    const page = written?.html ?? html;
    const keepMarkdown = (text: string) =>
        keepFile(new Blob([text], { type: 'text/markdown' }), `brief-${moment.in}-${choice.language}.md`);
    return (
        <div className="one">
            <section className="sheet" aria-label="On paper">
                <h1>On paper</h1>
                <p className="quiet">
                    What callers go through with its words, hours and holidays of the year ahead, who rings: dated, and
                    to be signed.
                </p>
                <div className={`line-row wrap ${styles.acts}`}>
                    <PaperChoices choice={choice} onChange={(change) => setChoice({ ...choice, ...change })} />
                    {page !== undefined && <Button onClick={() => frame.current?.contentWindow?.print()}>Print</Button>}
                    {!isTooLong && <Button href={file('pdf')}>Keep as PDF</Button>}
                    {!isTooLong && choice.kind === 'brief' && <Button href={file('md')}>Keep as Markdown</Button>}
                    {written && (
                        <>
                            <Button onClick={() => keepMarkdown(written.markdown)}>Keep as Markdown</Button>
                            <span className="quiet">To keep it as PDF, print it to a file.</span>
                        </>
                    )}
                    <span className="quiet" role="status">
                        {isWritten ? '' : 'It is being written …'}
                    </span>
                </div>
                {isTooLong && !written && <BriefInBackground brief={inFull} />}
                {error && !isTooLong && <p className="notice alarm">{error.message}</p>}
                {page !== undefined && (
                    <iframe
                        ref={frame}
                        className={styles.page}
                        title="The paper"
                        aria-busy={!isWritten}
                        srcDoc={page}
                    />
                )}
            </section>
        </div>
    );
}
