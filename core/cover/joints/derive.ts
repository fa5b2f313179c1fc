/** An assembly from what a family says: hardware, hold-downs, guarded edges, what moves, airing, and what each step takes. */
import { holdsN, type Catalog } from '../../catalog/catalog';
import type {
  Assembly,
  Contact,
  HardwareUse,
  HoldDown,
  Joint,
  AssemblySpec,
  StepSpec,
  BuildStep,
} from '../assembly/types';
import type { Structure } from '../assembly/rows';
import {
  type Fastening,
  type MovingPart,
  type Opening,
  type Ventilation,
  freeAirM2,
  opensAlone,
} from '../assembly/openings';
import type { BuildSite } from '../../site/buildSite';
import { SOIL_HOLDS } from '../../site/soil';
import { hardwareOf, holdsDown, jointKind } from './index';
import type { Phrase } from '../../base/figure';
import { type JointKind, countOfJoint } from './kind';

/** What is bought whole and only stands there: blocks, and windows looked for second-hand. */
function whole(a: Pick<Assembly, 'blocks' | 'panels'>): readonly HardwareUse[] {
  const windows = a.panels.filter((p) => p.sheet.key === 'old-window').length;
  const blocks = [...new Set(a.blocks.map((b) => b.itemKey))].map((itemKey) => ({
    itemKey,
    count: a.blocks.filter((b) => b.itemKey === itemKey).length,
    joint: 'Round the bed',
  }));
  return [...blocks, ...(windows > 0 ? [{ itemKey: 'old-window', count: windows, joint: 'One to a lid' }] : [])];
}

/** What strengths are read from, and the soil that things are driven into. */
type Ground = Pick<BuildSite, 'catalog'> & { readonly bed: Pick<BuildSite['bed'], 'soil'> };

/** What holds the cover down, kind by kind. */
export function holdDownsOf(joints: readonly Joint[], { catalog, bed }: Ground): readonly HoldDown[] {
  return joints.flatMap((j) => {
    const { holds, name } = jointKind(j.kind);
    const count = countOfJoint(j);
    if (!holds || !holdsDown(j)) return [];
    return [
      {
        what: String(j.with?.['what'] ?? name[1]),
        count,
        eachN: holdsN(catalog, holds.key) * holds.worth(j) * (holds.inSoil ? SOIL_HOLDS[bed.soil] : 1),
        ...(holds.inSoil && { soil: bed.soil }),
        ...(j.ask !== undefined && { ask: j.ask }),
      },
    ];
  });
}

const contactsOf = (joints: readonly Joint[]): readonly Contact[] =>
  joints.flatMap((j) => jointKind(j.kind).guards?.(j) ?? []);

/** A part that a person lifts, of the opening that it is; what holds it shut and open is counted from the joints. */
function movingOf(
  o: Opening,
  a: Pick<AssemblySpec, 'members' | 'sheets' | 'panels' | 'joints'>,
  catalog: Catalog,
): readonly MovingPart[] {
  if (!o.lift) return [];
  const { hung, ...lift } = o.lift;
  const mine = new Set(o.tags);
  const tags = (pieces: readonly { readonly tag: string }[]): readonly string[] =>
    pieces.flatMap((p) => (mine.has(p.tag) ? [p.tag] : []));
  const those = (ids: readonly string[], kind: 'latch' | 'stay'): Fastening => {
    const found = a.joints.filter((j) => ids.includes(j.id) && j.kind === kind);
    const ask = found[0]?.ask;
    return {
      count: found.reduce((sum, j) => sum + countOfJoint(j), 0),
      eachN: holdsN(catalog, kind),
      ...(ask !== undefined && { ask }),
    };
  };
  return [
    {
      name: o.name,
      memberTags: tags(a.members),
      sheetTags: tags(a.sheets),
      panelTags: tags(a.panels),
      ...lift,
      ...(hung && { hung: { ...hung, latches: those(o.shut, 'latch'), stays: those(o.open, 'stay') } }),
    },
  ];
}

/** How warm air leaves: by itself where anything opens by itself, else by what is opened most; and how much of it. */
function ventilationOf(openings: readonly Opening[]): Ventilation {
  const sum = (list: readonly Opening[]): number => list.reduce((m2, o) => m2 + freeAirM2(o), 0);
  const alone = openings.find((o) => o.lift?.hung?.opener);
  const first = alone ?? openings.find((o) => o.by === 'vent' || o.by === 'louvre') ?? openings[0];
  return {
    by: alone ? 'opener' : (first?.by ?? 'none'),
    screened: first?.screened ?? false,
    aloneM2: sum(openings.filter(opensAlone)),
    byHandM2: sum(openings.filter((o) => !opensAlone(o))),
  };
}

/** Small knowledge of the joints that are made, each once. */
const tipsOf = (kinds: readonly JointKind[]): readonly Phrase[] => [
  ...new Set(kinds.flatMap((k) => (k.tip === undefined ? [] : [k.tip]))),
];

/** A step with what its joints take, ask for and warn of. */
function stepWith(step: StepSpec, joints: readonly Joint[]): BuildStep {
  const made = joints.filter((j) => step.joints.includes(j.id));
  const kinds = made.map((j) => jointKind(j.kind));
  const cautions = kinds.flatMap((k) => (k.caution === undefined ? [] : [k.caution]));
  return {
    ...step,
    work: [...step.work, ...tipsOf(kinds)],
    takes: hardwareOf(made),
    tools: [...new Set([...step.tools, ...kinds.flatMap((k) => k.tools)])],
    cautions: [...new Set([...step.cautions, ...cautions])],
    minutes: step.minutes + made.reduce((sum, j) => sum + countOfJoint(j) * jointKind(j.kind).minutes, 0),
  };
}

/**
 * Works out of what a family says what follows from its joints and openings: hardware, hold-downs, contacts, moving parts, ventilation,
 * and what each step takes.
 * @throws when a joint is of no kind
 */
export function assembled(said: AssemblySpec, ground: Ground): Omit<Assembly, 'crop' | keyof Structure> {
  const { joints, openings } = said;
  return {
    ...said,
    remarks: said.remarks ?? [],
    hardware: [...hardwareOf(joints), ...whole(said)],
    moving: openings.flatMap((o) => movingOf(o, said, ground.catalog)),
    contacts: contactsOf(joints),
    ventilation: ventilationOf(openings),
    footing: { ...said.footing, holdDowns: holdDownsOf(joints, ground) },
    steps: said.steps.map((s) => stepWith(s, joints)),
  };
}
