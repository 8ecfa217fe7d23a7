import { OverflowPicture } from './OverflowPicture';

/** All queues, and where calls flow that none of them takes. */
export function OverflowScreen() {
    return (
        <div className="one">
            <section className="sheet" aria-label="Overflow">
                <h1>Where calls flow that no queue takes</h1>
                <p className="quiet">
                    Whatever the time, with callers who do nothing: each arrow says after how long at most. A journey
                    that calls come back to is told among the findings too.
                </p>
                <OverflowPicture />
            </section>
        </div>
    );
}
