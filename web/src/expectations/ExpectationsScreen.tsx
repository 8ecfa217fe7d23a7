import { useCallback } from 'react';
import type { HeldExpectation } from '../api/types';
import { ElementScreen } from '../ui/ElementScreen';
import { ExpectationEditor } from './ExpectationEditor';
import { useExpectations, useInFull } from './useExpectations';

const STATES: Record<HeldExpectation['state'], { mark: string; words: string }> = {
    kept: { mark: '✓', words: 'kept' },
    broken: { mark: '✗', words: 'broken' },
    'never due': { mark: '–', words: 'never due' },
    'not looked at': { mark: '…', words: 'not looked at in time' },
};

/** Promises about calls, each held against every moment of the coming year. */
export function ExpectationsScreen() {
    const query = useExpectations();
    const { data } = query;
    const inFull = useInFull();
    const rank = useCallback((one: { id: string }) => (data?.get(one.id)?.state === 'broken' ? 0 : 1), [data]);
    return (
        <ElementScreen
            kind="expectation"
            empty="Nothing is promised of calls yet. An expectation says what must be so, and is held against every moment of the coming year as you edit."
            rank={rank}
            note={(one) => {
                const held = data?.get(one.id);
                if (!held) return null;
                const { mark, words } = STATES[held.state];
                return (
                    <span className={held.state === 'broken' ? 'alarm' : 'quiet'}>
                        {mark} {held.state === 'not looked at' && query.isAtWork ? 'being looked at' : words}
                    </span>
                );
            }}
            editor={(props) => <ExpectationEditor {...props} query={query} inFull={inFull} />}
        />
    );
}
