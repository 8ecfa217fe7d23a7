import { Button, Progress } from 'antd';
import type { Job } from '../api/types';
import { isAtWork } from './useJob';

/** How far work in the background is, and giving it up. */
export function JobProgress({ job, label, onStop }: { job: Job | undefined; label: string; onStop: () => void }) {
    if (!job || !isAtWork(job)) return null;
    return (
        <>
            <Progress
                style={{ width: 240, maxWidth: '100%' }}
                size="small"
                aria-label={label}
                percent={job.of === 0 ? 0 : Math.round((100 * job.done) / job.of)}
            />
            <Button size="small" onClick={onStop}>
                Stop
            </Button>
        </>
    );
}
