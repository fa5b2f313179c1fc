import type { Market } from '../../catalog/market';
import type { Assembly, SheetPart, Skirt } from '../../cover/assembly/types';
import { type RollPlan, type Seam, sheetSize } from '../../make/rolls/rolls';
import { type Figure, type Phrase, amount, capital, phrase, term } from '../../base/figure';
import { worked } from '../../base/formula';
import type { Catalog } from '../../catalog/catalog';
import type { Crop } from '../../catalog/crops';
import type { BuildSite } from '../../site/buildSite';
import { MM_PER_INCH } from '../../base/length';
import { beamStrength } from './beam';
import { blownCheck } from './windCollapse';
import { aboutAll, aboutCrop, aboutEdges } from './about';
import { ASK, type Check, type CheckSite, cautioned, measured } from './check';
import { bendCheck, railCheck, sagCheck, sleeveCheck, snowCheck } from './hoopChecks';
import { driftCheck } from './drift';
import { endBarChecks } from './endBars';
import { pitfalls } from './pitfalls';
import { postChecks } from './posts';
import { type SnowStrength, hoopStrength } from './snowStrength';
import { spanCheck, spanStrength } from './span';
import { beamCheck, liftCheck } from './timberChecks';
import { ventCheck } from './vents';
import { windChecks } from './wind';

function cropCheck(assembly: Assembly, { market, catalog }: BuildSite): Check {
  const step = market === 'imperial' ? 3 * MM_PER_INCH : 75;
  const { crop, clearanceMm } = assembly.crop;
  const name = crop.name;
  return measured({
    id: 'crop',
    about: aboutCrop(assembly),
    measure: {
      demand: crop.heightMm,
      capacity: crop.heightMm + clearanceMm,
      spare: (crop.heightMm + CLEAR_MM) / crop.heightMm,
    },
    text:
      clearanceMm < 0
        ? phrase`Full-grown ${name} at the edge row stands ${amount(-clearanceMm, 'length')} into the cover. Leaves that touch it freeze to it.`
        : phrase`Full-grown ${name} clears the cover by ${amount(clearanceMm, 'length')} at the edge row.`,
    figure: worked({
      label: 'Clearance over the edge row',
      quantity: 'length',
      formula: `clearance = underside above ground − soil above ground − height of ${name}`,
      terms: [
        term(`height of ${name}`, crop.heightMm, 'length'),
        term('underside above ground', clearanceMm + assembly.crop.topZMm, 'length'),
        term('soil above ground', assembly.crop.soilZMm, 'length'),
      ],
      source: 'Height of the true bent curve over the row; crop heights are typical figures.',
      assumes: ['Rows stand the same distance from both long walls.'],
    }),
    caution: undefined,
    tries: [
      ...[1, 2, 3, 4, 6, 8, 12]
        .map((n) => n * step)
        .map((byMm) => ({
          label: phrase`Higher by ${amount(byMm, 'length')}`,
          change: { kind: 'higher', byMm } as const,
        })),
      ...ROW_IN.map((n) => n * step).map((mm) => ({
        label: phrase`The edge row ${amount(mm, 'length')} from the wall`,
        change: { kind: 'answer', id: 'rowFromEdgeMm', value: mm } as const,
        instead: true as const,
      })),
      ...lowerCrops(crop, clearanceMm, catalog).map((c) => ({
        label: [`${capital(c.name)} in place of ${name}`],
        change: { kind: 'answer', id: 'crop', value: c.key } as const,
        instead: true as const,
      })),
    ],
    noMend: [`This cover gets no higher, and no crop of the list is low enough for it. Choose another kind of cover.`],
  });
}

/** With so much air over it a crop is clear of its cover, mm. */
const CLEAR_MM = 40;

/** Places of the edge row that are tried, in steps of 3 in or 75 mm from the wall. */
const ROW_IN = [2, 3, 4, 6, 8];
const CROPS_TRIED = 3;

/** The tallest crops that still clear the cover, grown in the same season first. */
function lowerCrops(crop: Crop, clearanceMm: number, { crop: all }: Catalog): readonly Crop[] {
  if (clearanceMm >= 0) return [];
  return [...all.values()]
    .filter((c) => c.heightMm <= crop.heightMm + clearanceMm)
    .sort((a, b) => Number(b.season === crop.season) - Number(a.season === crop.season) || b.heightMm - a.heightMm)
    .slice(0, CROPS_TRIED);
}

const ANY_ROLL = { label: ['Any roll that fits'], change: { kind: 'roll', key: null } } as const;
/** Less than this holds nothing down. */
const LEAST_SKIRT_MM = 100;

/** A sheet in strips covers, but a seam is work and the first place to leak. */
function seamCheck(sheets: readonly SheetPart[], seam: Seam, figure: Figure | undefined): Check {
  const film = seam.cover.kind === 'film';
  return cautioned({
    id: 'sheet',
    leaf: 'skin',
    about: aboutEdges(sheets.filter((s) => s.tag === seam.tag)),
    verdict: 'tight',
    text: phrase`The roll is too narrow for sheet ${seam.tag} in one piece: it is made of ${seam.strips} strips that lap ${amount(seam.lapMm, 'length')}${film ? '. Tape both faces in the dry and warm.' : '. Sew it with two rows.'}`,
    figure,
    caution: undefined,
    tries: [ANY_ROLL],
  });
}

/** What of a sheet's width lies on the ground when it is cut as wide as it is asked for, or as the widest roll allows. */
function lyingFigure(sheet: SheetPart, skirt: Skirt, rolls: RollPlan): Figure {
  const short = rolls.tooWide.find((t) => t.tag === sheet.tag);
  const acrossMm = short?.widestMm ?? sheetSize(sheet).acrossMm;
  const { runMm, besideMm, sides, on } = skirt;
  const width = short ? 'widest roll' : 'width of the sheet';
  return worked({
    label: `Skirt on the ${on}`,
    quantity: 'length',
    formula: `skirt = (${width} − from fold to fold, over all it lies on − fastened, and pulled by) / sides`,
    terms: [
      term(width, acrossMm, 'length'),
      term('from fold to fold, over all it lies on', runMm, 'length'),
      term('fastened, and pulled by', besideMm, 'length'),
      term('sides', sides, 'count'),
    ],
    besides: [term('asked', skirt.askedMm, 'length')],
    source: 'Taut line over hoop and wall: the convex hull of all that the sheet lies on (A. M. Andrew, 1979).',
    assumes: ['A sheet laid straight. Ground outside that is level with the foot of the wall.'],
  });
}

/** Whether every sheet reaches: with the skirt that was asked for, where one lies on the ground. */
function sheetCheck(rolls: RollPlan, sheets: readonly SheetPart[], market: Market): Check | undefined {
  const [first] = sheets;
  if (!first) return undefined;
  const lying = sheets.flatMap((s) => (s.skirt ? [{ ...s.skirt, figure: lyingFigure(s, s.skirt, rolls) }] : []));
  const worst = lying.sort((a, b) => a.figure.value - a.askedMm - (b.figure.value - b.askedMm))[0];
  const missing = worst && worst.figure.value < worst.askedMm - 1 ? worst : undefined;
  const short = rolls.tooWide[0];
  const fits = rolls.rolls[0];
  const seam = rolls.seams[0];
  const check = (demand: number, capacity: number, text: Phrase, more: Check['tries'] = []): Check =>
    measured({
      id: 'sheet',
      leaf: 'skin',
      about: aboutEdges(sheets),
      // What is cut to size has no need of spare.
      measure: { demand, capacity, spare: 1 },
      text,
      figure: worst?.figure,
      caution: undefined,
      tries: [ANY_ROLL, ...more],
    });
  if (missing) {
    const { figure, askedMm, on } = missing;
    const lies = figure.value;
    const step = market === 'imperial' ? MM_PER_INCH : 10;
    const can = Math.floor(lies / step) * step;
    return check(
      askedMm,
      lies,
      lies < 0
        ? phrase`The widest roll ends ${amount(-lies, 'length')} short of the ${on} on each side: no skirt lies there.`
        : phrase`Only ${amount(lies, 'length')} of the roll would lie on the ${on} on each side; ${amount(askedMm, 'length')} are asked.`,
      [
        { label: ['As high as the sheet covers'], change: { kind: 'answer', id: 'school', value: 'sheet' } },
        ...(can >= LEAST_SKIRT_MM
          ? [
              {
                label: phrase`A skirt of ${amount(can, 'length')}`,
                change: { kind: 'answer', id: 'skirtMm', value: can } as const,
              },
            ]
          : []),
        { label: ['Ends inside the wall'], change: { kind: 'answer', id: 'edges', value: 'inside' } },
      ],
    );
  }
  if (short)
    return check(
      short.needMm,
      short.widestMm,
      phrase`Sheet ${short.tag} needs ${amount(short.needMm, 'length')} of width and the widest roll has ${amount(short.widestMm, 'length')}.`,
    );
  if (seam) return seamCheck(sheets, seam, worst?.figure);
  const lies: Phrase = worst
    ? phrase` ${amount(worst.figure.value, 'length')} lie on the ${worst.on} on each side.`
    : [];
  return check(
    fits ? fits.roll.widthMm - fits.leftMm : 0,
    fits?.roll.widthMm ?? 0,
    fits
      ? phrase`Sheet reaches: cut from a roll ${amount(fits.roll.widthMm, 'length')} wide, ${amount(fits.leftMm, 'byEye')} of it left over.${lies}`
      : [`All of the ${first.cover.name} is cut.`],
  );
}

/** What an assembly comes to. */
export interface Judgement {
  readonly checks: readonly Check[];
  /** What each part that bears snow carries of it, the weakest first. */
  readonly strengths: readonly SnowStrength[];
  /** Parts that bear snow and are not judged. */
  readonly unjudged: readonly string[];
}

/** Every check on an assembly, worst first; and the strength that the strip shows, weakest first. */
export function checkAssembly(assembly: Assembly, site: CheckSite): Judgement {
  const { snow } = site;
  const arches = assembly.arches.map((arch) => ({ arch, strength: hoopStrength(arch, snow, site.snowSpread) }));
  const beams = assembly.beams.map((beam) => ({ beam, strength: beamStrength(beam, snow, site.snowSpread) }));
  const sheets = assembly.spans.map((span) => ({ span, strength: spanStrength(span, snow) }));
  const all: Check[] = [
    ...arches.flatMap(({ arch, strength }) => [
      snowCheck(arch, strength, snow, site.site.catalog),
      ...bendCheck(arch, site.site.catalog),
      ...assembly.pushedRails.map((rail) => railCheck(assembly, rail, arch)),
      sagCheck(assembly, arch, snow),
      ...blownCheck(arch, assembly, site),
    ]),
    ...beams.map(({ beam, strength }) => beamCheck(assembly, beam, strength, snow, site.site.catalog)),
    ...sheets.map(({ span }) => spanCheck(assembly, span, snow)),
    ...assembly.sleeves.map((s) => sleeveCheck(assembly, s, site.site.catalog)),
    ...assembly.posts.flatMap((p) => postChecks(assembly, p, site)),
    ...endBarChecks(assembly, site),
    ...assembly.moving.flatMap((part, i) => liftCheck(assembly, part, site.lifts[i])),
    ...windChecks(assembly, site),
    cropCheck(assembly, site.site),
    ...[sheetCheck(site.rolls, assembly.sheets, site.site.market), ventCheck(assembly, site.air)].flatMap(
      (c) => c ?? [],
    ),
    ...driftCheck(assembly, site),
    ...pitfalls(assembly, site),
    ...assembly.remarks.map((text, i) =>
      cautioned({
        id: `remark ${i}`,
        about: aboutAll(assembly),
        verdict: 'tight',
        text: [text],
        figure: undefined,
        caution: ASK,
        tries: [],
      }),
    ),
  ];
  const rank = { fails: 0, tight: 1, holds: 2 } as const;
  all.sort((a, b) => rank[a.verdict] - rank[b.verdict]);
  return {
    // Lids that are alike are asked the same thing: the worst answer stands for all.
    checks: all.filter((c, i) => all.findIndex((other) => other.id === c.id) === i),
    strengths: [...[...arches, ...beams].map((x) => x.strength), ...sheets.flatMap((x) => x.strength ?? [])].sort(
      (a, b) => a.wetSnowMm - b.wetSnowMm,
    ),
    unjudged: [...new Set(sheets.flatMap(({ span, strength }) => (strength ? [] : [span.sheet.name])))],
  };
}
