// @vitest-environment jsdom
import { fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { expect, test } from 'vitest';
import { DayInput } from './DayInput';

const days: string[] = [];

function Bar() {
    const [day, setDay] = useState('2026-11-23');
    const save = (next: string) => {
        days.push(next);
        setDay(next);
    };
    return <DayInput value={day} onSave={save} />;
}

test('a year that is being typed is looked at once it is whole', () => {
    render(<Bar />);
    const field = screen.getByLabelText<HTMLInputElement>('Date');
    for (const value of ['0002-11-23', '0020-11-23', '0203-11-23', '2031-11-23']) {
        fireEvent.change(field, { target: { value } });
        expect(field.value).toBe(value);
    }
    expect(days).toEqual(['2031-11-23']);
    for (const value of ['', '2501-01-01', '1899-12-31']) fireEvent.change(field, { target: { value } });
    fireEvent.blur(field);
    expect(field.value).toBe('2031-11-23');
    for (const value of ['1900-01-01', '2500-12-31']) fireEvent.change(field, { target: { value } });
    expect(days).toEqual(['2031-11-23', '1900-01-01', '2500-12-31']);
});
