import type { CallerEntry, CallerList, Outlined } from '../api/types';

/** The entries of a list of callers as the plan keeps them: a line each, parted by tabs. */
export function entriesOf(lines: string): CallerEntry[] {
    return lines === ''
        ? []
        : lines.split('\n').map((line) => {
              const [match = '', name = '', label = ''] = line.split('\t');
              return { match, name, label };
          });
}

export function lineOf({ match, name, label }: CallerEntry): string {
    const plain = (text: string) => text.replaceAll(/[\t\n\r]/g, ' ').trim();
    return [match, plain(name), plain(label)].join('\t').replace(/\t+$/, '');
}

/** How many entries a list has, whole or in outline. */
export function countOf(list: Outlined<'callers'> | CallerList): number {
    if ('entries' in list) return list.entries === '' ? 0 : list.entries.split('\n').length;
    return list.sizes?.entries ?? 0;
}

/** The lines with one in place of another, or without it. */
export function withLine(lines: string, match: string, next: CallerEntry | null): string {
    return lines
        .split('\n')
        .flatMap((line) =>
            line === match || line.startsWith(`${match}\t`) ? (next === null ? [] : [lineOf(next)]) : [line],
        )
        .join('\n');
}
