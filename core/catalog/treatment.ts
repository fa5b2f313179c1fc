/** How the key of a treated board follows from that of the untreated one. */
const TREATED = ' treated';

/** The key of a board's treated twin. */
export const treatedKey = (key: string): string => `${key}${TREATED}`;

/** The key of the untreated twin; of what is untreated, its own. */
export const untreatedKey = (key: string): string => (key.endsWith(TREATED) ? key.slice(0, -TREATED.length) : key);
