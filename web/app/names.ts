/** A new id, for things that the gardener makes. */
export function newId(): string {
  return crypto.randomUUID().slice(0, 13);
}

/** A name that is not taken yet: "Tunnel", "Tunnel 2" ... */
export function freshName(wanted: string, taken: readonly string[]): string {
  if (!taken.includes(wanted)) return wanted;
  for (let n = 2; ; n++) if (!taken.includes(`${wanted} ${n}`)) return `${wanted} ${n}`;
}
