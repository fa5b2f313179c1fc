import { type ToolKey, toolItself } from '../catalog/handTools';
import { coverM2, mainCover } from '../cover/assembly/enclosure';
import type { Assessment } from '../assessment';
import { FAMILY_KEYS, familyOf } from '../cover/families';
import type { Cover, Garden } from '../garden/garden';
import { assessCover } from '../plan';
import { startingCover } from './firstDesigns';
import { type Merits, meritsOf } from './merits';

/** How warm a kind of cover keeps its bed. */
export type Warmth = 'airy' | 'mild' | 'warm' | 'warmest';

interface Kind {
  readonly key: string;
  readonly name: string;
  readonly sentence: string;
}

/** A family tried on a bed with its own first answers; or why it does not go there. All plain data. */
export type Candidate =
  | (Kind & {
      readonly cover: Cover;
      readonly outline: Assessment;
      readonly merits: Merits;
      readonly warmth: Warmth;
      readonly tools: readonly ToolKey[];
    })
  | (Kind & { readonly fault: string });

/** One that goes on the bed. */
export type Standing = Extract<Candidate, { cover: Cover }>;

/**
 * Every family on one bed, for one crop: worked out from the families themselves.
 * @returns one a family, with its outline and merits, or with the reason it cannot stand there; none where there is no such bed
 * @example candidates(demoGarden(), 'long', 'spinach').length // 13
 * @param onEach is told of each as soon as it is worked out
 */
export function candidates(
  garden: Garden,
  bedId: string,
  cropKey: string,
  onEach: (one: Candidate) => void = () => undefined,
): readonly Candidate[] {
  const told = (one: Candidate): readonly Candidate[] => {
    onEach(one);
    return [one];
  };
  return FAMILY_KEYS.flatMap((key): readonly Candidate[] => {
    const { name, sentence } = familyOf(key);
    const cover = startingCover(garden, bedId, key, `try-${key}`, name, cropKey);
    if (!cover) return [];
    const found = assessCover(garden, cover);
    if (!found.ok) return told({ key, name, sentence, fault: found.faults[0]?.message ?? '' });
    const o = found.value;
    return told({
      key,
      name,
      sentence,
      cover,
      outline: o,
      merits: meritsOf(o),
      warmth: warmthOf(o),
      tools: toolsOf(o),
    });
  });
}

/** Tools that the steps of a cover ask for, each once, without the size of a bit. */
export const toolsOf = (o: Assessment): readonly ToolKey[] =>
  [...new Set(o.assembly.steps.flatMap((s) => s.tools.map(toolItself)))].sort();

/** By the heat that its cover loses and the frost it keeps off. */
function warmthOf(o: Assessment): Warmth {
  const { enclosure } = o.assembly;
  const { uWPerM2K, frostHelpC } = mainCover(enclosure);
  if (uWPerM2K === null) return frostHelpC < 2 ? 'airy' : 'mild';
  if (uWPerM2K <= 4.5) return 'warmest';
  return coverM2(enclosure) / enclosure.floorM2 < 1.8 ? 'warm' : 'mild';
}
