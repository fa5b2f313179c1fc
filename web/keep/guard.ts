/** Read before anything that trusts it: a BroadcastChannel that cannot be made is as good as none. */
try {
  new BroadcastChannel('cabanon').close();
} catch {
  Object.defineProperty(globalThis, 'BroadcastChannel', { value: undefined, configurable: true });
}
