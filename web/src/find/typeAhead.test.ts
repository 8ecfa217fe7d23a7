// @vitest-environment jsdom
import { expect, test } from 'vitest';
import { typeAhead } from './typeAhead';

function press(key: string, init: KeyboardEventInit = {}, target: EventTarget = document.body): boolean {
    return target.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...init }));
}

test('what is typed before the field is there is handed to it, and reaches nobody else', () => {
    const heard: string[] = [];
    const listen = (event: KeyboardEvent) => heard.push(event.key);
    window.addEventListener('keydown', listen);
    const ahead = typeAhead();
    expect([press('w'), press('o')]).toEqual([false, false]);
    press('Escape');
    press('z', { ctrlKey: true });
    const field = document.body.appendChild(document.createElement('input'));
    press('x', {}, field);
    expect(ahead.take()).toBe('wo');
    press('w');
    expect(ahead.take()).toBe('');
    expect(heard).toEqual(['Escape', 'z', 'x', 'w']);
    window.removeEventListener('keydown', listen);
});
