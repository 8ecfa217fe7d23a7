/** The place, of those where findings are shown, at which one is: the nearest to its cause; undefined where it is within none. */
export function placeOf(pointer: string, places: readonly string[]): string | undefined {
    return places
        .filter((place) => pointer === place || pointer.startsWith(`${place}/`))
        .toSorted((a, b) => b.length - a.length)[0];
}
