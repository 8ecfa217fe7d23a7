import { Button } from 'antd';
import { Link } from 'react-router';
import { useMoment } from '../moment/useMoment';

/** In an element's place, where the plan on screen does not have it: what became of it, and where it may be looked at. */
export function Gone({ id }: { id: string }) {
    const { moment, change, search } = useMoment();
    const isDraft = moment.in === 'draft';
    return (
        <>
            <h2 className="quiet">
                {isDraft ? 'This is not in the draft.' : 'This is not in the plan that the bar looks at.'}
            </h2>
            <p className="ways">
                <Link to={{ pathname: `/changes/${id}`, search }}>Changes to it</Link>
                <Button size="small" onClick={() => change({ in: isDraft ? 'live' : 'draft' })}>
                    {isDraft ? 'Look for it in live' : 'Look for it in the draft'}
                </Button>
            </p>
        </>
    );
}
