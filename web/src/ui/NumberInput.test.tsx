// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, expect, test, vi } from 'vitest';
import { NumberInput } from './NumberInput';
import { OptionalNumberInput } from './OptionalNumberInput';

afterEach(cleanup);

const box = () => screen.getByLabelText('Seconds') as HTMLInputElement;
const type = (text: string) => fireEvent.change(box(), { target: { value: text } });
const enter = () => fireEvent.keyDown(box(), { key: 'Enter', keyCode: 13 });

test('what is typed is saved on Enter and when the field is left, once', () => {
    const onSave = vi.fn();
    render(<NumberInput label="Seconds" unit="s" min={1} max={600} value={20} onSave={onSave} />);
    type('25');
    expect(onSave).not.toHaveBeenCalled();
    enter();
    expect(onSave.mock.calls).toEqual([[25]]);
    type('30');
    fireEvent.blur(box());
    expect(onSave.mock.calls).toEqual([[25], [30]]);
});

test('what is as it was is not saved, and an empty field goes back', () => {
    const onSave = vi.fn();
    render(<NumberInput label="Seconds" unit="s" min={1} max={600} value={20} onSave={onSave} />);
    type('20');
    enter();
    type('');
    fireEvent.blur(box());
    expect(onSave).not.toHaveBeenCalled();
    expect(box().value).toBe('20');
});

test('beyond a limit it is the limit, which is said until something else is typed', () => {
    const onSave = vi.fn();
    render(<NumberInput label="Seconds" unit="s" min={30} max={600} value={60} onSave={onSave} />);
    type('5');
    expect(screen.queryByRole('status')).toBeNull();
    enter();
    expect(onSave.mock.calls).toEqual([[30]]);
    fireEvent.blur(box());
    expect(screen.getByRole('status').textContent).toBe('At least 30');
    type('6000');
    expect(screen.queryByRole('status')).toBeNull();
    fireEvent.blur(box());
    expect(onSave).toHaveBeenLastCalledWith(600);
    expect(screen.getByRole('status').textContent).toBe('At most 600');
    type('45');
    enter();
    expect(screen.queryByRole('status')).toBeNull();
});

test('a step after a number beyond a limit is what counts', () => {
    const onSave = vi.fn();
    render(<NumberInput label="Seconds" unit="s" min={30} max={600} value={60} onSave={onSave} />);
    type('5');
    fireEvent.keyDown(box(), { key: 'ArrowUp', code: 'ArrowUp', keyCode: 38 });
    fireEvent.blur(box());
    const stepped = Number(box().value);
    expect(stepped).toBeGreaterThan(30);
    expect(onSave).toHaveBeenLastCalledWith(stepped);
});

test('a field shows what was saved elsewhere', () => {
    const { rerender } = render(<NumberInput label="Seconds" unit="s" min={1} max={600} value={20} onSave={vi.fn()} />);
    rerender(<NumberInput label="Seconds" unit="s" min={1} max={600} value={45} onSave={vi.fn()} />);
    expect(box().value).toBe('45');
});

test('one that may be left open saves nothing as null', () => {
    const onSave = vi.fn();
    render(<OptionalNumberInput label="Seconds" open="never" unit="s" min={0} max={600} value={20} onSave={onSave} />);
    type('');
    fireEvent.blur(box());
    expect(onSave.mock.calls).toEqual([[null]]);
});

test('what was sent does not take away what is typed meanwhile', () => {
    const onSave = vi.fn();
    const field = (value: number) => (
        <NumberInput label="Seconds" unit="s" min={1} max={600} value={value} onSave={onSave} />
    );
    const { rerender } = render(field(20));
    type('25');
    enter();
    type('30');
    enter();
    type('31');
    rerender(field(25));
    expect(box().value).toBe('31');
    rerender(field(30));
    expect(box().value).toBe('31');
    rerender(field(20));
    expect(box().value).toBe('20');
    expect(onSave.mock.calls).toEqual([[25], [30]]);
});

test('going back to what was there before the answer has come is sent, too', () => {
    const onSave = vi.fn();
    render(<NumberInput label="Seconds" unit="s" min={1} max={600} value={20} onSave={onSave} />);
    type('25');
    enter();
    type('20');
    enter();
    expect(onSave.mock.calls).toEqual([[25], [20]]);
});
