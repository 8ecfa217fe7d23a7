// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, expect, test, vi } from 'vitest';
import { LineInput } from './LineInput';

afterEach(cleanup);

const box = () => screen.getByLabelText('Name') as HTMLInputElement;
const type = (text: string) => fireEvent.change(box(), { target: { value: text } });

test('what is typed is saved on Enter and when the field is left, as it is read', () => {
    const onSave = vi.fn();
    render(<LineInput label="Name" value="Lunch" read={(typed) => typed.trim() || null} onSave={onSave} />);
    type(' Break ');
    fireEvent.keyDown(box(), { key: 'Enter', keyCode: 13 });
    expect(onSave.mock.calls).toEqual([['Break']]);
    type('Noon');
    fireEvent.blur(box());
    expect(onSave).toHaveBeenLastCalledWith('Noon');
    type('  ');
    fireEvent.blur(box());
    expect(onSave).toHaveBeenCalledTimes(2);
    expect(box().value).toBe('Lunch');
});

test('what is undone or saved elsewhere is shown, and not sent back', () => {
    const onSave = vi.fn();
    const field = (value: string) => <LineInput label="Name" value={value} onSave={onSave} />;
    const { rerender } = render(field('Lunch'));
    type('Break');
    fireEvent.blur(box());
    rerender(field('Break'));
    rerender(field('Lunch'));
    expect(box().value).toBe('Lunch');
    fireEvent.blur(box());
    expect(onSave.mock.calls).toEqual([['Break']]);
});

test('Escape brings back what is saved', () => {
    const onSave = vi.fn();
    render(<LineInput label="Name" value="Lunch" onSave={onSave} />);
    type('Break');
    fireEvent.keyDown(box(), { key: 'Escape' });
    expect(box().value).toBe('Lunch');
    fireEvent.blur(box());
    expect(onSave).not.toHaveBeenCalled();
});

test('Enter saves what was typed, and is done where nothing is left to be saved', () => {
    const [onSave, onDone] = [vi.fn(), vi.fn()];
    const field = (value: string) => <LineInput label="Name" value={value} onSave={onSave} onDone={onDone} />;
    const { rerender } = render(field('Lunch'));
    type('Break');
    fireEvent.keyDown(box(), { key: 'Enter', keyCode: 13 });
    expect(onSave.mock.calls).toEqual([['Break']]);
    expect(onDone).not.toHaveBeenCalled();
    fireEvent.keyUp(box(), { key: 'Enter', keyCode: 13 });
    rerender(field('Break'));
    fireEvent.keyDown(box(), { key: 'Enter', keyCode: 13 });
    expect(onDone).toHaveBeenCalledTimes(1);
    expect(onSave).toHaveBeenCalledTimes(1);
});
