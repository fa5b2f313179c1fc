/** Ids as they stand in addresses and in file names: two that differ never look alike, and none means anything to a path. */

/**
 * An id in letters, digits, `-` and `_` alone; every other byte (UTF-8) is `~` and two hexadecimal digits.
 * @example idToText('a/b') // "a~2fb"
 */
export function idToText(id: string): string {
  return [...new TextEncoder().encode(id)]
    .map((byte) => {
      const letter = String.fromCharCode(byte);
      return /[\w-]/.test(letter) ? letter : `~${byte.toString(16).padStart(2, '0')}`;
    })
    .join('');
}

/**
 * The id that a text stands for; a text that `idToText` never gives stands for itself.
 * @example textToId('a~2fb') // "a/b"
 */
export function textToId(text: string): string {
  const bytes = text
    .match(/~[0-9a-f]{2}|./gu)
    ?.flatMap((part) =>
      part.length === 3 && part.startsWith('~') ? [parseInt(part.slice(1), 16)] : [...new TextEncoder().encode(part)],
    );
  return new TextDecoder().decode(new Uint8Array(bytes ?? []));
}

/**
 * Names for things that are written beside one another: where two would be one on a disk that does not tell capitals apart,
 * the later ones are numbered.
 * @example distinctNames(['A', 'a']) // ["A", "a-2"]
 */
export function distinctNames(ids: readonly string[]): readonly string[] {
  const taken = new Set<string>();
  return ids.map((id) => {
    const base = idToText(id);
    let name = base;
    for (let n = 2; taken.has(name.toLowerCase()); n++) name = `${base}-${n}`;
    taken.add(name.toLowerCase());
    return name;
  });
}

/** The most letters that a name has. */
export const NAME_CHARS = 60;

/**
 * A name that is not taken yet; shortened where it would be longer than a name may be.
 * @example freshName('Tunnel', ['Tunnel']) // "Tunnel 2"
 */
export function freshName(wanted: string, taken: readonly string[]): string {
  if (!taken.includes(wanted)) return wanted;
  for (let n = 2; ; n++) {
    const tail = ` ${n}`;
    const name = `${wanted.slice(0, NAME_CHARS - tail.length)}${tail}`;
    if (!taken.includes(name)) return name;
  }
}
