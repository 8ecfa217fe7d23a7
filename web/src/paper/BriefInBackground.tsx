import { Button } from 'antd';
import { JobProgress } from '../ui/JobProgress';
import type { BriefInFull } from './useBriefInFull';

/** Where there are too many numbers to wait for: what can be done about it. */
export function BriefInBackground({ brief: { job, isAtWork, write, stop } }: { brief: BriefInFull }) {
    return (
        <div className="notice line-row wrap">
            <span>
                There are too many numbers to wait for. Choose one, or have the brief written in the background.
            </span>
            <Button size="small" onClick={write} loading={isAtWork}>
                Write it in the background
            </Button>
            <JobProgress job={job} label="How much is written" onStop={stop} />
            <span role="status" className="quiet">
                {job?.state === 'cancelled' && 'Stopped.'}
                {job?.state === 'failed' && 'It could not be done.'}
            </span>
        </div>
    );
}
