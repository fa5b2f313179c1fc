import { type Result, ok } from '../../../base/result';
import type { BuildSite } from '../../../site/buildSite';
import type { AssemblySpec } from '../../assembly/types';
import { built } from '../../guide/built';
import { hungLids } from '../../parts/hungLids';
import { slopedBoxShell } from '../../parts/slopedBoxShell';
import type { LeanToAnswers } from './answers';
import { leanToFrame } from './frame';
import { leanToStages } from './stages';

/** The shutters lap over the header that they hang on. */
const LAP_MM = 38;

/** How the shutters are spoken of. */
const SHUTTERS = {
  one: 'shutter',
  many: 'shutters',
  upper: 'top',
  lower: 'bottom',
  hang: 'Shutters to the header',
  shut: 'Shutters to the sill',
  pane: 'J',
};

/** Builds the lean-to: rafters from a plate on the wall to a low front on the bed, shutters in front, glazed or under film. */
export function assembleLeanTo(a: LeanToAnswers, site: BuildSite): Result<AssemblySpec> {
  const made = leanToFrame(a, site);
  if (!made.ok) return made;
  const f = made.value;
  const { x0, x1, z0, width } = f;
  const { closes } = f.skin;
  const hangZ = f.headZ + LAP_MM;
  const shutters = hungLids(
    { ...a, glazing: a.glazing === 'film' ? 'film-both' : a.glazing, overhangMm: 0, bars: null },
    hangZ - z0,
    { x0, x1, back: { y: 0, z: hangZ }, front: { y: 0, z: z0 }, site, called: SHUTTERS },
  );
  const box = slopedBoxShell(
    a,
    site,
    { x0, x1, y0: 0, y1: width, z0, frontMm: a.frontMm, backMm: a.backMm },
    ['front to wall', 'header above the bed', 'wall plate above the bed', 'frame'],
    { skins: [{ ...closes, m2: closes.m2 + shutters.areaM2 }] },
    { xs: f.xs, label: 'rafter to rafter' },
    [f.lowMm, f.highMm],
  );
  return ok({
    ...built(leanToStages(a, f, shutters, site)),
    ...f.carries,
    ...box,
    openings: shutters.openings,
    reachMm: [x0, x1],
    dimensions: [...box.dimensions, f.rafterLength],
    remarks: [
      'Snow that drifts against a bare wall is counted. Under a roof more blows and slides down, which is not: brace it for more, or ask an engineer.',
    ],
  });
}
