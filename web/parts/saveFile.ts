import { fileOf } from '../../core/garden/write';

/** So long a file is held for the browser to fetch. */
const KEPT_MS = 60_000;

/** Hands a file to the gardener's own downloads. */
export function saveFile(name: string, type: string, content: string | Uint8Array<ArrayBuffer>): void {
  const url = URL.createObjectURL(new Blob([content], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name.replace(/[\\/:*?"<>|]/g, '-');
  link.click();
  // A browser that is busy may ask for it seconds later: gone by then, nothing would be saved, and nothing said.
  setTimeout(() => URL.revokeObjectURL(url), KEPT_MS);
}

/** Hands over a garden, or what is stored in its place, as its file. */
export function saveGarden(name: string, document: unknown): void {
  saveFile(`${name}.json`, 'application/json', fileOf(document));
}
