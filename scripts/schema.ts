import { writeFileSync } from 'node:fs';
import * as z from 'zod/mini';
import '../core/cover/families';
import { gardenSchema } from '../core/garden/garden';

/** Writes docs/garden.schema.json from the Zod schema, which is its only source. */
writeFileSync(
  new URL('../docs/garden.schema.json', import.meta.url),
  `${JSON.stringify(z.toJSONSchema(gardenSchema()), null, 2)}\n`,
);
