/** Words in at most so many lines of so many characters; what does not fit ends in dots. */
export function wrapped(text: string, width: number, most: number): string[] {
    const lines: string[] = [];
    for (const word of text.split(' ')) {
        const last = lines.at(-1);
        if (last !== undefined && `${last} ${word}`.length <= width) lines[lines.length - 1] = `${last} ${word}`;
        else lines.push(word);
    }
    const kept = lines.slice(0, most).map((line) => (line.length > width ? `${line.slice(0, width - 1)}…` : line));
    const last = kept.at(-1);
    if (lines.length > most && last !== undefined && !last.endsWith('…'))
        kept[kept.length - 1] = `${last.slice(0, width - 1)}…`;
    return kept;
}

/** A picture as a file of its own: colours of the theme become those on paper. */
export function standalone(svg: SVGElement): string {
    const text = new XMLSerializer().serializeToString(svg);
    return `<?xml version="1.0" encoding="UTF-8"?>\n${text.replaceAll(/var\(--[a-z]+, (#[0-9a-f]{6})\)/g, '$1')}`;
}
