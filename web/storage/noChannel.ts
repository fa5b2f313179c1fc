/** Where a browser has word from tab to tab and refuses it, it is taken for one that has none: the storage library asks no further. */
try {
  new BroadcastChannel('cabanon.ask').close();
} catch {
  Reflect.defineProperty(globalThis, 'BroadcastChannel', { value: undefined, configurable: true, writable: true });
}
export {};
