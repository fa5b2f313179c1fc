import type { CoverMaterial } from '../../catalog/types';
import type { Assembly } from '../../build/assembly/types';
import type { RollPlan, Seam } from '../../make/rolls/rolls';
import { type Phrase, amount } from '../../base/figure';
import { crop } from '../../site/crops';
import { beamStrength } from './beam';
import { ASK, type Check, type CheckSite } from './check';
import { bendCheck, railCheck, sagCheck, sleeveCheck, snowCheck } from './hoopChecks';
import { pitfalls } from './pitfalls';
import { type SnowStrength, hoopStrength } from './strength';
import { beamCheck, liftCheck, spanCheck } from './timberChecks';
import { windChecks } from './wind';

function cropCheck(assembly: Assembly): Check {
  const { cropKey, clearanceMm } = assembly.crop;
  const name = crop(cropKey).name;
  const verdict = clearanceMm < 0 ? 'fails' : clearanceMm < 40 ? 'tight' : 'holds';
  return {
    id: 'crop',
    verdict,
    text:
      clearanceMm < 0
        ? [
            `Full-grown ${name} at the edge row stands `,
            amount(-clearanceMm, 'length'),
            ' into the cover. Leaves that touch it freeze to it.',
          ]
        : [`Full-grown ${name} clears the cover by `, amount(clearanceMm, 'length'), ' at the edge row.'],
    figure: {
      label: 'Clearance over the edge row',
      value: clearanceMm,
      quantity: 'length',
      formula: 'clearance = underside of pipe over the row − top of the crop',
      terms: [
        { name: `height of ${name}`, ...amount(crop(cropKey).heightMm, 'length') },
        { name: 'underside above ground', ...amount(clearanceMm + assembly.crop.topZMm, 'length') },
        { name: 'soil above ground', ...amount(assembly.crop.soilZMm, 'length') },
      ],
      source: 'Height of the true bent curve over the row; crop heights are typical figures.',
      assumes: ['Rows stand the same distance from both long walls.'],
    },
    caution: undefined,
    tries: [75, 150, 225, 300, 450, 600, 900].map((byMm) => ({
      label: ['Higher by ', amount(byMm, 'length')] as Phrase,
      change: { kind: 'higher', byMm } as const,
    })),
  };
}

/** A sheet in strips covers, but a seam is work and the first place to leak. */
function seamCheck(seam: Seam): Check {
  const film = seam.cover.kind === 'film';
  return {
    id: 'sheet',
    leaf: 'skin',
    verdict: 'tight',
    text: [
      `The roll is too narrow for sheet ${seam.tag} in one piece: it is made of ${seam.strips} strips that lap `,
      amount(seam.lapMm, 'length'),
      film ? '. Tape both faces in the dry and warm.' : '. Sew it with two rows.',
    ],
    figure: undefined,
    caution: undefined,
    tries: [{ label: ['Any roll that fits'], change: { kind: 'roll', key: null } }],
  };
}

function sheetCheck(rolls: RollPlan, cover: CoverMaterial): Check {
  const short = rolls.tooWide[0];
  const fits = rolls.rolls[0];
  const seam = rolls.seams[0];
  if (seam && !short) return seamCheck(seam);
  return {
    id: 'sheet',
    leaf: 'skin',
    verdict: short ? 'fails' : 'holds',
    text: short
      ? [
          `Sheet ${short.tag} needs `,
          amount(short.needMm, 'length'),
          ' of width and the widest roll has ',
          amount(short.widestMm, 'length'),
          '.',
        ]
      : fits
        ? [
            'Sheet reaches: cut from a roll ',
            amount(fits.roll.widthMm, 'length'),
            ' wide, ',
            amount(fits.leftMm, 'length'),
            ' of it left over.',
          ]
        : [`All of the ${cover.name} is cut.`],
    figure: undefined,
    caution: undefined,
    tries: [{ label: ['Any roll that fits'], change: { kind: 'roll', key: null } }],
  };
}

/** Every check on an assembly, worst first; and the strength that the strip shows, weakest first. */
export function checkAssembly(
  assembly: Assembly,
  site: CheckSite,
): { readonly checks: readonly Check[]; readonly strengths: readonly SnowStrength[] } {
  const { snow } = site;
  const arches = assembly.arches.map((arch) => ({ arch, strength: hoopStrength(arch, snow) }));
  const beams = assembly.beams.map((beam) => ({ beam, strength: beamStrength(beam, snow) }));
  const all: Check[] = [
    ...arches.flatMap(({ arch, strength }) => [
      snowCheck(arch, strength, snow, site.site.catalog),
      ...(arch.sprung ? [bendCheck(arch, site.site.catalog)] : []),
      ...assembly.pushedRails.map((rail) => railCheck(rail, arch)),
      sagCheck(arch, snow),
    ]),
    ...beams.map(({ beam, strength }) => beamCheck(beam, strength, snow, site.site.catalog)),
    ...assembly.spans.map((span) => spanCheck(span, snow)),
    ...assembly.sleeves.map((s) => sleeveCheck(s, site.site.catalog)),
    ...assembly.moving.flatMap((part, i) => liftCheck(part, site.lifts[i])),
    ...windChecks(assembly, site),
    cropCheck(assembly),
    ...(assembly.sheets[0] ? [sheetCheck(site.rolls, assembly.sheets[0].cover)] : []),
    ...pitfalls(assembly, site),
    ...assembly.remarks.map((text, i): Check => ({
      id: `remark ${i}`,
      verdict: 'tight',
      text: [text],
      figure: undefined,
      caution: ASK,
      tries: [],
    })),
  ];
  const rank = { fails: 0, tight: 1, holds: 2 } as const;
  all.sort((a, b) => rank[a.verdict] - rank[b.verdict]);
  return {
    // Lids that are alike are asked the same thing: the worst answer stands for all.
    checks: all.filter((c, i) => all.findIndex((other) => other.id === c.id) === i),
    strengths: [...arches, ...beams].map((x) => x.strength).sort((a, b) => a.wetSnowMm - b.wetSnowMm),
  };
}
