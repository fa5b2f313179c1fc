/** Files that are dropped on any page: what each is for, and the place that takes it. */

/** What a file is for. */
export type FileUse = 'garden' | 'prices' | 'weather' | 'picture';

/** What a place is told of a file that was dropped elsewhere. */
export interface Dropped {
  readonly use: FileUse;
  readonly file: File;
}

/** Enough of a file to tell what it is. */
const HEAD_BYTES = 4000;

/** What a file is for, by its name and how it begins; undefined where nothing here takes it. */
export function fileUse(name: string, type: string, head: string): FileUse | undefined {
  if (type.startsWith('image/')) return 'picture';
  const ending = name.toLowerCase().split('.').at(-1);
  if (ending === 'json') return 'garden';
  if (ending === 'epw' || ending === 'txt') return 'weather';
  if (ending !== 'csv') return undefined;
  const [first = ''] = head.split('\n');
  return /\bprice\b/i.test(first) ? 'prices' : 'weather';
}

/** What was dropped, read no farther than it must be. */
export async function readDropped(file: File): Promise<Dropped | undefined> {
  const use = fileUse(file.name, file.type, await file.slice(0, HEAD_BYTES).text());
  return use && { use, file };
}

/** The file of a use that came with an address. */
export function droppedFile(state: unknown, use: FileUse): File | undefined {
  if (typeof state !== 'object' || state === null || !('use' in state) || !('file' in state)) return undefined;
  return state.use === use && state.file instanceof File ? state.file : undefined;
}
