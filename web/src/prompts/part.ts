/** What a take holds: a script, or what stands around its blanks. */
export interface Part {
    language: string;
    /** From 1. */
    number: number;
    words: string;
    /** As people read it: "English", "English, part 2". */
    name: string;
}

/** As takes and readings of the machine are kept by it: that of a script without blanks is its language. */
export const partKey = ({ language, number }: Part) => (number === 1 ? language : `${language}/${number}`);
