import { useLayoutEffect, useRef } from 'react';

/** Tells what is below the bar on top how high that is, as --top: it grows with what is to be said. */
export function useTopHeight<T extends HTMLElement>() {
    const top = useRef<T>(null);
    useLayoutEffect(() => {
        const bar = top.current;
        if (!bar) return;
        const tell = () => bar.parentElement?.style.setProperty('--top', `${bar.offsetHeight}px`);
        const watch = new ResizeObserver(tell);
        watch.observe(bar);
        return () => watch.disconnect();
    }, []);
    return top;
}
