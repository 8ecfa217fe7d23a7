import { Button } from 'antd';
import type { Job } from '../api/types';
import { JobProgress } from './JobProgress';
import { isAtWork } from './useJob';
import styles from './whateverPhonesDo.module.css';

/** Work in the background that looks at more than what is looked at at once: what phones do besides ringing on. */
export interface InFull {
    job: Job | undefined;
    /** Something changed since it began. */
    isOld: boolean;
    look: () => void;
    stop: () => void;
}

/** As one edits, phones ring on; whatever they do takes longer, and is looked at when it is asked for. */
export function WhateverPhonesDo({
    inFull: { job, isOld, look, stop },
    isDone,
    button,
    label,
}: {
    inFull: InFull;
    /** Whether what is on screen was looked at so. */
    isDone: boolean;
    button: string;
    /** Of how far it is. */
    label: string;
}) {
    return (
        <div className={styles.inFull}>
            {isDone ? (
                <span className="quiet">
                    Phones ring on, are all busy, cannot be reached, or refuse: it was looked at in each case.
                </span>
            ) : (
                <>
                    <span className="quiet">In these calls phones ring on.</span>
                    <Button size="small" onClick={look} loading={isAtWork(job)}>
                        {button}
                    </Button>
                    <JobProgress job={job} label={label} onStop={stop} />
                </>
            )}
            <span role="status" className="quiet">
                {job?.state === 'cancelled' && 'Stopped.'}
                {job?.state === 'failed' && 'It could not be done.'}
                {job?.state === 'done' && isOld && 'Something changed since it was looked at.'}
            </span>
        </div>
    );
}
