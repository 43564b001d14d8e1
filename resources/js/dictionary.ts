/** The words that are loaded, by key; each module brings those that it says (see vite.words.ts). */
export const dictionary: Record<string, string> = {}
