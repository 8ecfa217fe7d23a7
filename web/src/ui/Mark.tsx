/** A course winding from one shore to the other. */
export function Mark() {
    return (
        <svg width="22" height="22" viewBox="0 0 32 32" aria-hidden="true">
            <path
                d="M9 5v6c0 5 14 4 14 10 0 4-5 5-5 6"
                fill="none"
                stroke="var(--course)"
                strokeWidth="4"
                strokeLinecap="round"
            />
        </svg>
    );
}
