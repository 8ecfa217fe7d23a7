/** As a sentence begins. */
export const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);
