import { Button } from 'antd';

/** Takes a row away. */
export function RemoveButton({ label, onClick }: { label: string; onClick: () => void }) {
    return <RowButton label={label} sign="✕" onClick={onClick} />;
}

/** Moves a row; without a way to go it is dimmed. */
export function MoveButton({
    what,
    way,
    onClick,
}: {
    what: string;
    way: 'up' | 'down';
    onClick: (() => void) | undefined;
}) {
    return <RowButton label={`Move ${what} ${way}`} sign={way === 'up' ? '↑' : '↓'} onClick={onClick} />;
}

function RowButton({ label, sign, onClick }: { label: string; sign: string; onClick: (() => void) | undefined }) {
    return (
        <Button size="small" type="text" aria-label={label} disabled={!onClick} onClick={onClick}>
            {sign}
        </Button>
    );
}
