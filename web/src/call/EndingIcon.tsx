import type { Trace } from '../api/types';

const SHAPES: Record<Trace['ending']['kind'], { d: string; label: string }> = {
    answered: { d: 'M3 8.5l3.2 3.2L13 5', label: 'Answered' },
    message: { d: 'M2.5 4h11v8h-11zM2.5 4.5L8 9l5.5-4.5', label: 'Message' },
    announcement: { d: 'M3 3.5h10v6.5H8L5 12.5V10H3zM5.5 6h5M5.5 8h3', label: 'Announcement' },
    'listens to messages': { d: 'M3 9a5 5 0 0110 0v3h-2.4V9.4H13M3 9v3h2.4V9.4H3', label: 'Listens to messages' },
    announced: { d: 'M3 6.5h2.5L9 3.5v9L5.5 9.5H3zM11 6a3 3 0 010 4M12.6 4.2a5.5 5.5 0 010 7.6', label: 'Announced' },
    'own mailbox': { d: 'M2.5 4h11v8h-11zM5 7l6 3M11 7l-6 3', label: 'Lost to an own mailbox' },
    forwarded: { d: 'M2.5 8h10M9 4.5L12.5 8L9 11.5', label: 'Sent on' },
    'callback kept': { d: 'M4 8a4 4 0 1 0 4-4M8 1.5v5L5 4z', label: 'Is called back later' },
    'callback in vain': { d: 'M4 8a4 4 0 1 0 4-4M6 6l4 4M10 6l-4 4', label: 'Called back in vain' },
    fax: { d: 'M4 2.5h8v4H4zM2.5 6.5h11v5h-11zM5 9.5h6v4H5z', label: 'Fax' },
    'ended by plan': { d: 'M4 4h8v8H4z', label: 'Ended by the plan' },
    'ran out of steps': { d: 'M3 8h3M8 8h1.5M12 8h1', label: 'Ran out of steps' },
    'caller gave up': { d: 'M4 4l8 8M12 4l-8 8', label: 'Caller gave up' },
    'loop stopped': { d: 'M12.5 6.5A5 5 0 1 0 13 9M13 3v4H9', label: 'Loop stopped' },
};

export const endingLabel = (kind: Trace['ending']['kind']): string => SHAPES[kind].label;

/** How a call ends, as a shape; the colour only adds to it. */
export function EndingIcon({ kind }: { kind: Trace['ending']['kind'] }) {
    const shape = SHAPES[kind];
    const tone = [
        'answered',
        'message',
        'announced',
        'listens to messages',
        'forwarded',
        'callback kept',
        'fax',
    ].includes(kind)
        ? 'good'
        : 'bad';
    return (
        <svg
            className={`ending ${tone}`}
            width="18"
            height="18"
            viewBox="0 0 16 16"
            role="img"
            aria-label={shape.label}
        >
            <path
                d={shape.d}
                fill="none"
                stroke="currentColor"
                strokeWidth="1.8"
                strokeLinecap="round"
                strokeLinejoin="round"
            />
        </svg>
    );
}
