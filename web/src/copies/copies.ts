import type { Copyable } from '../api/types';

/** What becomes of something that a copy uses: the same, a copy by this name, or another by this id. */
export type Choice = { is: 'same' } | { is: 'copy'; name?: string } | { is: 'other'; id: string | null };

export type Choices = Record<string, Choice>;

export const SAME: Choice = { is: 'same' };

/** What the copies use, the nearest first; what is used by what is not copied stays out. */
export function usedByCopies(elements: Copyable[], choices: Choices): Copyable[] {
    const byId = new Map(elements.map((one) => [one.id, one]));
    const found = new Set<string>();
    const next = elements[0]?.mentions.slice() ?? [];
    for (let id = next.shift(); id !== undefined; id = next.shift()) {
        if (found.has(id) || id === elements[0]?.id) continue;
        found.add(id);
        if (choices[id]?.is === 'copy') next.push(...(byId.get(id)?.mentions ?? []));
    }
    return elements.filter((one) => found.has(one.id));
}

/**
 * What a copy may be called beside one that was named: with the same words in the place of the same. "Bookings line" was copied
 * as "Groups line": "Bookings hours" are "Groups hours".
 */
export function nameLike(of: string, name: string, other: string): string {
    const [before, after] = [of.split(' '), name.split(' ')];
    let start = 0;
    while (start < before.length && start < after.length && before[start] === after[start]) ++start;
    let end = 0;
    while (
        end < before.length - start &&
        end < after.length - start &&
        before[before.length - 1 - end] === after[after.length - 1 - end]
    )
        ++end;
    const old = before.slice(start, before.length - end).join(' ');
    const put = after.slice(start, after.length - end).join(' ');
    const words = ` ${other} `;
    return old === '' || put === '' || !words.includes(` ${old} `)
        ? `${other}, copy`
        : words.replace(` ${old} `, ` ${put} `).trim();
}
