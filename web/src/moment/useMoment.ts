import {
    createContext,
    createElement,
    type ReactNode,
    useCallback,
    useContext,
    useMemo,
    useSyncExternalStore,
} from 'react';
import { useNavigate } from 'react-router';
import { isOfMoment, readMoment, writeMoment } from './address';
import type { Moment } from './moment';

interface Bar {
    moment: Moment;
    change: (part: Partial<Moment> | ((now: Moment) => Partial<Moment>)) => void;
    /** The address's parameters, with their question mark. */
    search: string;
}

const MomentContext = createContext<Bar>({
    moment: readMoment(new URLSearchParams()),
    change: () => undefined,
    search: '',
});

/** Reads the address once for all who look at the moment. */
export function MomentProvider({ children }: { children: ReactNode }) {
    return createElement(MomentContext, { value: useAddress() }, children);
}

export const useMoment = () => useContext(MomentContext);

/** Goes to another screen, with the moment and the call as they are by then: something may have been waited for. */
export function useGo() {
    const navigate = useNavigate();
    return useCallback(
        (pathname: string, state?: { isNew: true }) =>
            void navigate({ pathname, search: window.location.search }, state ? { state } : {}),
        [navigate],
    );
}

const readers = new Set<() => void>();
const onChange = (reader: () => void) => {
    readers.add(reader);
    return () => readers.delete(reader);
};
const current = () => new URLSearchParams(window.location.search);

/** Of the address itself: the router draws what follows from a change a moment later, and a link that is followed meanwhile must have it. */
function useAddress(): Bar {
    const navigate = useNavigate();
    const text = useSyncExternalStore(onChange, () => current().toString());
    const moment = useMemo<Moment>(() => readMoment(new URLSearchParams(text)), [text]);

    const change = useCallback(
        (part: Partial<Moment> | ((now: Moment) => Partial<Moment>)) => {
            // Two changes in a row must not undo one another.
            const now = readMoment(current());
            const next = writeMoment({ ...now, ...(typeof part === 'function' ? part(now) : part) });
            for (const [name, value] of current()) if (!isOfMoment(name)) next.set(name, value);
            // Of the screen that is shown by now: another may have been gone to.
            navigate({ pathname: window.location.pathname, search: next.toString() }, { replace: true });
            for (const read of readers) read();
        },
        [navigate],
    );

    return useMemo(() => ({ moment, change, search: text ? `?${text}` : '' }), [moment, change, text]);
}
