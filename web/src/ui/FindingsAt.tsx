import { createContext, type ReactNode, useCallback, useContext, useLayoutEffect, useMemo, useState } from 'react';
import type { Finding } from '../api/types';
import { Findings } from './Findings';
import { placeOf } from './findingPlaces';
import { useElementFindings } from './useElementFindings';

interface Found {
    all: Finding[];
    /** Pointers where what is found is shown, as long as they are on screen. */
    places: readonly string[];
    take: (pointer: string) => () => void;
}

const FoundContext = createContext<Found>({ all: [], places: [], take: () => () => undefined });

/** What is found in an element: beside its cause where a FindingsAt stands there, and all else up here, so that nothing is lost. */
export function FindingsOf({ id, children }: { id: string; children: ReactNode }) {
    const all = useElementFindings(id);
    const [places, setPlaces] = useState<readonly string[]>([]);
    const take = useCallback((pointer: string) => {
        setPlaces((taken) => [...taken, pointer]);
        return () => setPlaces((taken) => taken.toSpliced(taken.indexOf(pointer), 1));
    }, []);
    const found = useMemo(() => ({ all, places, take }), [all, places, take]);
    return (
        <FoundContext value={found}>
            <Findings found={all.filter((one) => placeOf(one.pointer, places) === undefined)} />
            {children}
        </FoundContext>
    );
}

/** What is found in a part of the element, but for what is shown nearer to its cause; nothing without a part. */
export function useFindingsAt(pointer: string | undefined): Finding[] {
    const { all, places, take } = useContext(FoundContext);
    useLayoutEffect(() => (pointer === undefined ? undefined : take(pointer)), [take, pointer]);
    return useMemo(
        () => (pointer === undefined ? [] : all.filter((one) => placeOf(one.pointer, places) === pointer)),
        [all, places, pointer],
    );
}

export function FindingsAt({ pointer }: { pointer: string }) {
    return <Findings found={useFindingsAt(pointer)} />;
}
