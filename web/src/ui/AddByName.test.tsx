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

test('what could not be added leaves its name', async () => {
    render(<AddByName label="Name of a new state" button="Add state" onAdd={async () => false} />);
    type('Lunch');
    add();
    await Promise.resolve();
    expect(field().value).toBe('Lunch');
});
