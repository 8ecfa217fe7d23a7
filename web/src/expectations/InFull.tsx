import { Button } from 'antd';
import type { HeldExpectation } from '../api/types';
import { JobProgress } from '../ui/JobProgress';
import { isAtWork } from '../ui/useJob';
import styles from './expectations.module.css';
import type { useInFull } from './useExpectations';

/** As one edits, expectations are held where phones ring on; whatever phones do takes longer, and is looked at when it is asked for. */
export function InFull({
    phones,
    inFull: { job, isOld, look, stop },
}: {
    phones: HeldExpectation['phones'];
    inFull: ReturnType<typeof useInFull>;
}) {
    if (phones === 'no matter') return null;
    return (
        <div className={styles.inFull}>
            {phones === 'ring on' ? (
                <>
                    <span className="quiet">In these calls phones ring on.</span>
                    <Button size="small" onClick={look} loading={isAtWork(job)}>
                        Hold all expectations whatever phones do
                    </Button>
                    <JobProgress job={job} label="How many expectations were looked at" onStop={stop} />
                </>
            ) : (
                <span className="quiet">
                    Phones ring on, are all busy, cannot be reached, or refuse: it was looked at in each case.
                </span>
            )}
            <span role="status" className="quiet">
                {job?.state === 'cancelled' && 'Stopped.'}
                {job?.state === 'failed' && 'It could not be done.'}
                {job?.state === 'done' && isOld && 'Something changed since it was looked at.'}
            </span>
        </div>
    );
}
