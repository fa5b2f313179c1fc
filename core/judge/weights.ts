/** What parts weigh, and what of it is at the hand. */
import { type Figure, term } from '../base/figure';
import { worked } from '../base/formula';
import { panelAreaM2 } from '../cover/assembly/pieces';
import type { Assembly } from '../cover/assembly/types';
import type { MovingPart } from '../cover/assembly/openings';
import { massKg } from '../catalog/sections';
import { sheetSize } from '../make/rolls/rolls';

type Parts = Pick<Assembly, 'members' | 'sheets' | 'panels'>;

/** Boards, pipes, sheets and panels, kg; film by its cut size. */
export function partsKg({ members, sheets, panels }: Parts): { readonly barsKg: number; readonly sheetsKg: number } {
  const barsKg = members.reduce((sum, m) => sum + massKg(m.section, m.lengthMm), 0);
  const soft = sheets.reduce((sum, s) => {
    const { acrossMm, alongMm } = sheetSize(s);
    return sum + ((acrossMm * alongMm) / 1e6) * s.cover.kgPerM2;
  }, 0);
  const stiff = panels.reduce((sum, p) => sum + panelAreaM2(p) * p.sheet.kgPerM2, 0);
  return { barsKg, sheetsKg: soft + stiff };
}

/** Half the weight of a hinged lid is lifted at its handle; what is carried or rolled is lifted whole. */
export function liftFigure(assembly: Assembly, part: MovingPart): Figure {
  const { barsKg, sheetsKg } = partsKg({
    members: assembly.members.filter((m) => part.memberTags.includes(m.tag)),
    sheets: assembly.sheets.filter((s) => part.sheetTags.includes(s.tag)),
    panels: assembly.panels.filter((p) => part.panelTags.includes(p.tag)),
  });
  const hinged = part.motion === 'hinged';
  const terms = [
    term('boards and pipes', barsKg, 'mass'),
    term('sheets', sheetsKg, 'mass'),
    ...(part.extraKg > 0 ? [term('hardware that moves with it', part.extraKg, 'mass')] : []),
  ];
  return worked({
    label: hinged ? `${part.name}: lift at the handle` : `${part.name}: weight ${part.motion}`,
    quantity: 'mass',
    formula: `${hinged ? 'lift' : 'weight'} = (${terms.map((t) => t.name).join(' + ')})${hinged ? ' / 2' : ''}`,
    terms,
    source: 'Sections and lengths of the parts; densities from the catalogue.',
    assumes: ['Dry wood, no snow on it. Screws and hinges are left out.'],
  });
}
