/**
 * Collects what is typed until the field is there: whoever opens it by a key types on at once, and a busy machine draws it some keys
 * later.
 */
export function typeAhead(): { take: () => string } {
    let text = '';
    const onKey = (event: KeyboardEvent) => {
        const isText = event.key.length === 1 && !event.ctrlKey && !event.metaKey && !event.altKey;
        if (!isText || event.target instanceof HTMLInputElement) return;
        event.preventDefault();
        event.stopImmediatePropagation();
        text += event.key;
    };
    window.addEventListener('keydown', onKey, true);
    return {
        /** From then on, keys go where they go. */
        take: () => {
            window.removeEventListener('keydown', onKey, true);
            const typed = text;
            text = '';
            return typed;
        },
    };
}
