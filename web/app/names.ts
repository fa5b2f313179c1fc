/** A new id, for things that the gardener makes. */
export function newId(): string {
  // `randomUUID` is not there on plain http, as from another machine of the house.
  return Array.from(crypto.getRandomValues(new Uint8Array(6)), (byte) => byte.toString(16).padStart(2, '0')).join('');
}
