// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, expect, test, vi } from 'vitest';
import { TimeInput } from './TimeInput';

afterEach(cleanup);

function open() {
    const onSave = vi.fn();
    render(<TimeInput label="From" value="09:00" disabled={false} onSave={onSave} />);
    const field = screen.getByLabelText('From') as HTMLInputElement;
    const type = (text: string) => {
        fireEvent.change(field, { target: { value: text } });
        fireEvent.blur(field);
    };
    return { onSave, field, type };
}

test('times are saved as people type them', () => {
    const { onSave, field, type } = open();
    for (const text of ['930', '9.30', '9:30']) type(text);
    expect(onSave.mock.calls).toEqual([['09:30'], ['09:30'], ['09:30']]);
    expect(field.value).toBe('09:30');
    type('17.30.15');
    expect(onSave).toHaveBeenLastCalledWith('17:30:15');
    type('26');
    expect(onSave).toHaveBeenLastCalledWith('26:00');
});

test('gone back from before what was sent is saved, it shows that once it is', () => {
    const field = (value: string) => <TimeInput label="From" value={value} disabled={false} onSave={vi.fn()} />;
    const { rerender } = render(field('09:00'));
    const box = screen.getByLabelText('From') as HTMLInputElement;
    fireEvent.change(box, { target: { value: '930' } });
    fireEvent.blur(box);
    fireEvent.change(box, { target: { value: 'noon' } });
    fireEvent.keyDown(box, { key: 'Escape' });
    rerender(field('09:30'));
    expect(box.value).toBe('09:30');
});

test('one that is none stays with its reason, and is not saved', () => {
    const { onSave, field, type } = open();
    type('noon');
    expect(screen.getByRole('alert').textContent).toBe('“noon” is no time of day: write 9, 930 or 17:30.');
    expect(field.value).toBe('noon');
    expect(field.getAttribute('aria-describedby')).toBe(screen.getByRole('alert').id);
    fireEvent.change(field, { target: { value: 'noo' } });
    expect(screen.queryByRole('alert')).toBeNull();
    fireEvent.keyDown(field, { key: 'Escape' });
    expect(field.value).toBe('09:00');
    expect(onSave).not.toHaveBeenCalled();
});
