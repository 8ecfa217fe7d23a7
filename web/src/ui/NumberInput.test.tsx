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
