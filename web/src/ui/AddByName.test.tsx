// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, expect, test, vi } from 'vitest';
import { AddByName } from './AddByName';

afterEach(cleanup);

const field = () => screen.getByLabelText('Name of a new state') as HTMLInputElement;
const add = () => fireEvent.click(screen.getByRole('button', { name: 'Add state' }));
const type = (text: string) => fireEvent.change(field(), { target: { value: text } });

test('where there is no name yet the field says so, and has the keyboard', async () => {
    const onAdd = vi.fn();
    render(<AddByName label="Name of a new state" button="Add state" onAdd={onAdd} />);
    add();
    expect((await screen.findByRole('alert')).textContent).toBe('A name comes first.');
    expect(document.activeElement).toBe(field());
    expect(field().getAttribute('aria-invalid')).toBe('true');
    expect(onAdd).not.toHaveBeenCalled();
    type(' Last orders ');
    expect(screen.queryByRole('alert')).toBeNull();
    fireEvent.keyDown(field(), { key: 'Enter', keyCode: 13 });
    await vi.waitFor(() => expect(field().value).toBe(''));
    expect(onAdd.mock.calls).toEqual([['Last orders']]);
});

test('what could not be added has its name back, but for what was typed since', async () => {
    render(<AddByName label="Name of a new state" button="Add state" onAdd={async () => false} />);
    type('Lunch');
    add();
    await vi.waitFor(() => expect(field().value).toBe('Lunch'));
    add();
    type('Supper');
    await Promise.resolve();
    expect(field().value).toBe('Supper');
});

test('the next name is typed while one is being added; who presses twice adds it once', async () => {
    let done = () => {};
    const onAdd = vi.fn(() => new Promise<void>((resolve) => (done = resolve)));
    render(<AddByName label="Name of a new state" button="Add state" onAdd={onAdd} />);
    type('Lunch');
    add();
    add();
    type('Supper');
    done();
    await Promise.resolve();
    expect(screen.queryByRole('alert')).toBeNull();
    expect(field().value).toBe('Supper');
    expect(onAdd.mock.calls).toEqual([['Lunch']]);
});
