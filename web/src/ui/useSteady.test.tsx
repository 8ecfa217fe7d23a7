// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { memo, useState } from 'react';
import { afterEach, expect, test, vi } from 'vitest';
import { useSteady } from './useSteady';

afterEach(cleanup);

const drawn = vi.fn();
const Button = memo(function Drawn({ act }: { act: () => void }) {
    drawn();
    return (
        <button type="button" onClick={act}>
            Act
        </button>
    );
});

function Counts({ said }: { said: (count: number) => void }) {
    const [count, setCount] = useState(0);
    const { act } = useSteady({
        act: () => {
            said(count);
            setCount(count + 1);
        },
    });
    return <Button act={act} />;
}

test('what carries an act on is drawn once, and does what the latest draw would', () => {
    const said = vi.fn();
    render(<Counts said={said} />);
    for (const _ of [1, 2, 3]) fireEvent.click(screen.getByRole('button'));
    expect(said.mock.calls).toEqual([[0], [1], [2]]);
    expect(drawn).toHaveBeenCalledTimes(1);
});
