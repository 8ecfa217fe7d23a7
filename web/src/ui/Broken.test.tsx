// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, expect, test, vi } from 'vitest';
import { Broken } from './Broken';

afterEach(cleanup);

let isWhole = false;

function Part() {
    if (!isWhole) throw new Error('no seconds');
    return <p>Whole</p>;
}

test('what cannot be drawn says so, leaves the rest of the page, and can be shown again', () => {
    vi.spyOn(console, 'error').mockImplementation(() => undefined);
    render(
        <>
            <p>Rest</p>
            <Broken>
                <Part />
            </Broken>
        </>,
    );
    expect(screen.getByRole('alert').textContent).toContain('something went wrong here (no seconds)');
    expect(screen.getByText('Rest')).toBeTruthy();
    isWhole = true;
    fireEvent.click(screen.getByRole('button', { name: 'Show it again' }));
    expect(screen.getByText('Whole')).toBeTruthy();
    expect(screen.queryByRole('alert')).toBeNull();
});
