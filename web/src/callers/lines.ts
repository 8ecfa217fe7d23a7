import type { CallerEntry } from '../api/types';

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

export const countOf = (lines: string) => (lines === '' ? 0 : lines.split('\n').length);

/** The lines with one in place of another, or without it. */
export function withLine(lines: string, match: string, next: CallerEntry | null): string {
    return lines
        .split('\n')
        .flatMap((line) =>
            line === match || line.startsWith(`${match}\t`) ? (next === null ? [] : [lineOf(next)]) : [line],
        )
        .join('\n');
}
