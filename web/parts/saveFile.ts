import { fileOf } from '../../core/garden/write';

/** Hands a file to the gardener's own downloads. */
export function saveFile(name: string, type: string, content: string | Uint8Array<ArrayBuffer>): void {
  const url = URL.createObjectURL(new Blob([content], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name.replace(/[\\/:*?"<>|]/g, '-');
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 1000);
}

/** Hands over a garden, or what is stored in its place, as its file. */
export function saveGarden(name: string, document: unknown): void {
  saveFile(`${name}.json`, 'application/json', fileOf(document));
}
