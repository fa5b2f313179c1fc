// The library makes a channel as soon as it is read, and breaks where it may not.
import './guard';
import Dexie, { type DexieOptions } from 'dexie';
import type { Database } from './db';

/** Opens the storage; what is asked of it is refused where the browser has none. */
export function openDatabase(name = 'cabanon', options: DexieOptions = {}): Database {
  const db = new Dexie(name, options) as Database;
  db.version(1).stores({ gardens: 'id, savedAt', edits: '[gardenId+seq], gardenId' });
  db.version(2).stores({ journal: '[gardenId+tab+n], gardenId', aside: '++key, gardenId' });
  db.version(3).stores({ weather: '[gardenId+kind], gardenId' });
  db.version(4).stores({ pictures: '[gardenId+key], gardenId' });
  return db;
}
