/** Words for what the browser says of its storage. */
export function storageFault(thrown: unknown): string {
  const name = thrown instanceof Error || thrown instanceof DOMException ? thrown.name : '';
  if (/Abort/.test(name) && thrown instanceof Error && thrown.cause) return storageFault(thrown.cause);
  if (/Quota/.test(name)) return 'this browser’s storage is full';
  if (/Security|InvalidState|NotAllowed/.test(name))
    return 'this browser lets Cabanon keep nothing, as in a private window';
  if (name === 'VersionError') return 'a newer Cabanon has been here: load this page afresh';
  if (name === 'NetworkError') return 'a part of Cabanon could not be fetched';
  if (name === 'TimeoutError') return 'the browser’s storage does not answer';
  return `this browser’s storage failed${name ? ` (${name.slice(0, 40)})` : ''}`;
}
