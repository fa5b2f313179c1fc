/** Pictures of the day book: kept in this browser, one row each. */
import type { GardenPictures } from '../../core/garden/pictures';
import { type Storage, dbRequest, ofGarden } from './db';
import type { PictureRow } from './rows';

/** Longest side of a picture that is kept, px. */
const MOST_PX = 1280;
const QUALITY = 0.8;

/**
 * A picture no larger than it is looked at.
 * @throws when the file is no picture that this browser reads
 */
export async function scaledDown(file: Blob): Promise<Blob> {
  const whole = await createImageBitmap(file);
  const by = Math.min(1, MOST_PX / Math.max(whole.width, whole.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(whole.width * by));
  canvas.height = Math.max(1, Math.round(whole.height * by));
  canvas.getContext('2d')?.drawImage(whole, 0, 0, canvas.width, canvas.height);
  whole.close();
  return new Promise((take, refuse) =>
    canvas.toBlob((blob) => (blob ? take(blob) : refuse(new Error('it cannot be drawn'))), 'image/jpeg', QUALITY),
  );
}

export const keepPicture = (storage: Storage, row: PictureRow): Promise<unknown> =>
  dbRequest(storage, (db) => db.pictures.put(row));

/** One picture; undefined where this browser has it not. */
export async function pictureOf(storage: Storage, gardenId: string, key: string): Promise<Blob | undefined> {
  try {
    return (await dbRequest(storage, (db) => db.pictures.get([gardenId, key])))?.picture;
  } catch {
    return undefined;
  }
}

/** How many there are, and how much room they take, bytes. */
export async function picturesRoom(storage: Storage, gardenId: string): Promise<{ count: number; bytes: number }> {
  try {
    const rows = await dbRequest(storage, (db) => ofGarden(db.pictures, gardenId).toArray());
    return { count: rows.length, bytes: rows.reduce((sum, r) => sum + r.picture.size, 0) };
  } catch {
    return { count: 0, bytes: 0 };
  }
}

/** Lets go of all pictures but those that are still wanted. */
export async function keepOnly(storage: Storage, gardenId: string, wanted: (key: string) => boolean): Promise<void> {
  await dbRequest(storage, async (db) => {
    const keys = await ofGarden(db.pictures, gardenId).primaryKeys();
    await db.pictures.bulkDelete(keys.filter(([, key]) => !wanted(key)));
  });
}

/** The pictures of some keys as they go into a file. */
export async function picturesFor(
  storage: Storage,
  gardenId: string,
  keys: readonly string[],
): Promise<GardenPictures> {
  const found: GardenPictures = {};
  for (const key of keys) {
    const picture = await pictureOf(storage, gardenId, key);
    if (picture) found[key] = await asData(picture);
  }
  return found;
}

function asData(picture: Blob): Promise<string> {
  return new Promise((take, refuse) => {
    const reader = new FileReader();
    reader.onload = () => (typeof reader.result === 'string' ? take(reader.result) : refuse(new Error('not read')));
    reader.onerror = () => refuse(reader.error ?? new Error('not read'));
    reader.readAsDataURL(picture);
  });
}

/** Keeps the pictures that came with a file. */
export async function keepPictures(storage: Storage, gardenId: string, pictures: GardenPictures): Promise<void> {
  for (const [key, data] of Object.entries(pictures)) {
    const bytes = Uint8Array.from(atob(data.slice(data.indexOf(',') + 1)), (c) => c.charCodeAt(0));
    await keepPicture(storage, { gardenId, key, picture: new Blob([bytes], { type: 'image/jpeg' }) });
  }
}
