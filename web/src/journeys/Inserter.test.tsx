// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, expect, test, vi } from 'vitest';
import { Inserter } from './Inserter';

afterEach(cleanup);

const press = (key: string) => fireEvent.keyDown(document.activeElement as Element, { key });
const focused = () => document.activeElement?.textContent;

function open() {
    const [onChoose, onCancel] = [vi.fn(), vi.fn()];
    render(<Inserter depth={0} onChoose={onChoose} line={(begun) => <p>{`line: ${begun}`}</p>} onCancel={onCancel} />);
    return { onChoose, onCancel };
}

test('letters lead to a kind and choose nothing', () => {
    const { onChoose } = open();
    expect(focused()).toBe('Say');
    for (const key of 'mes') press(key);
    expect(focused()).toBe('Message');
    press('q');
    expect(focused()).toBe('Queue');
    expect(onChoose).not.toHaveBeenCalled();
    fireEvent.click(document.activeElement as Element);
    expect(onChoose).toHaveBeenCalledWith('queue');
});

test('arrows go round, Escape gives up', () => {
    const { onCancel } = open();
    press('ArrowLeft');
    expect(focused()).toBe('Cancel');
    press('ArrowRight');
    expect(focused()).toBe('Say');
    press('Escape');
    expect(onCancel).toHaveBeenCalledOnce();
    expect(screen.getByRole('toolbar', { name: 'Which step' })).toBeTruthy();
});

test('a word and a space begin a line; a space alone chooses', () => {
    open();
    for (const key of 'ring') press(key);
    press(' ');
    expect(screen.getByText('line: ring')).toBeTruthy();
});
