import { soilZ } from '../../assembly/crop';
import { footDimension, looseTunnel, tunnelRow } from '../../assembly/looseTunnel';
import type { Assembly, Step } from '../../assembly/types';
import type { BuildSite } from '../../bed/buildSite';
import { section, shippedKey } from '../../catalog/sections';
import { amount, phraseText } from '../../figure';
import { CAUTIONS } from '../../guide/cautions';
import { MINUTES, cutStep, step } from '../../guide/step';
import { holesStep, looseCoverStep, tunnelRidge } from '../../guide/tunnelSteps';
import { type Result, fail, ok } from '../../result';
import type { Family } from '../family';
import { endsQuestion, lengthOf, ridgeQuestion } from '../asks';
import {
  answerShared,
  changeShared,
  choice,
  countQuestion,
  coverQuestions,
  cropQuestion,
  dimensionShared,
  schoolQuestion,
  weightsQuestion,
} from '../questions';
import { WIRES, isWire, type WireTunnelAnswers, wireTunnelDefaults, wireTunnelSchema } from './answers';

const FROM_WALL_MM = 25;

/** Builds the tunnel: wire bent to shape beforehand, legs in the soil, light fabric weighted at the foot. */
function assemble(a: WireTunnelAnswers, site: BuildSite): Result<Assembly> {
  const spanMm = a.spanMm ?? site.bed.inside.widthMm - 2 * FROM_WALL_MM;
  const widest = WIRES[shippedKey(a.pipe)] ?? 0;
  if (spanMm > widest + 0.5)
    return fail(
      'span',
      phraseText(
        [
          `${section(a.pipe).name} carries fabric over at most `,
          amount(widest, 'length'),
          '. Make the span smaller',
          a.pipe === 'wire-10' ? ', or use 9 gauge.' : ', or choose a pipe tunnel.',
        ],
        { length: 'in', temperature: 'C', currency: 'USD' },
      ),
    );
  const found = tunnelRow(
    a,
    {
      // Wire takes the bend it is given: a true arc that meets upright legs.
      feet: { kind: 'held', angleDeg: 90 },
      spanMm,
      baseZ: soilZ(site.bed),
      aboveMm: 0,
      belowMm: a.legDepthMm,
      endInsetMm: site.bed.wall.thicknessMm,
      sprung: false,
    },
    site,
  );
  if (!found.ok) return found;
  const row = found.value;
  const shape: Step = step({
    id: 'bend',
    title: 'Bend the wire',
    view: 'end',
    tags: row.hoops.map((h) => h.tag),
    work: [
      [
        'Bend each wire round a board or a bucket to the curve drawn, with a straight leg of ',
        amount(a.legDepthMm, 'length'),
        ' at both ends.',
      ],
      ['Lay it on the first one: all alike.'],
      ['Turn a small loop in each end that stays above the soil, or cap it.'],
    ],
    tools: ['pliers', 'gloves', 'eye protection'],
    checks: [['Every hoop lies on the first without a gap']],
    cautions: ['A sprung wire end finds an eye: wear eye protection, and hold both ends when you cut.'],
    minutes: row.hoops.length * MINUTES.bend,
  });
  return ok(
    looseTunnel(a, row, site, {
      members: [],
      hardware: [],
      on: 'soil',
      holdDowns: [{ what: 'wire legs in the soil', count: 2 * row.hoops.length, eachN: 20 }],
      contacts: [],
      sleeves: [],
      dimensions: [footDimension('span', 'span', row, spanMm), footDimension('bury', 'in the soil', row, a.legDepthMm)],
      steps: (hardware) => [
        cutStep(row.hoops),
        shape,
        holesStep(row, a.legDepthMm),
        ...tunnelRidge(a, row, hardware),
        { ...looseCoverStep(a, hardware), cautions: [CAUTIONS.snow] },
      ],
      remarks: [],
    }),
  );
}

/** Hoops of stiff wire over a small span, for fabric and nets only. */
export const wireTunnel: Family<WireTunnelAnswers> = {
  key: 'wire-tunnel',
  name: 'Wire tunnel',
  sentence: 'Hoops of stiff wire and a light fabric: the cheapest frost blanket, for low crops and no snow.',
  schema: wireTunnelSchema,
  defaults: wireTunnelDefaults,
  questions: (a, built) => [
    countQuestion(a, built),
    choice('pipe', 'Wire', a.pipe, [
      ['wire-9', '9 gauge', 'The stiffer one: spans up to 48 in.'],
      ['wire-10', '10 gauge', 'Bends more easily: spans up to 36 in.'],
    ]),
    // Wire comes in coils: there is no whole pipe to leave uncut.
    schoolQuestion(a, ['stock']),
    ridgeQuestion(a.ridge, ['none', 'rope']),
    ...coverQuestions(a, (c) => c.kind !== 'film'),
    lengthOf('skirtMm', 'Skirt each side', a.skirtMm, 'skin'),
    endsQuestion(a.ends, ['gathered', 'folded']),
    weightsQuestion(built),
    cropQuestion(a),
  ],
  answer: (a, id, value, built) => {
    // A thinner wire stands over a narrower span.
    const widest = id === 'pipe' ? WIRES[shippedKey(String(value))] : undefined;
    if (widest !== undefined) {
      return { ...a, pipe: String(value), spanMm: a.spanMm === null ? widest : Math.min(a.spanMm, widest) };
    }
    return answerShared(a, id, value, built) ?? { ...a, [id]: value };
  },
  dimension: (a, id, valueMm, site) => {
    const shared = dimensionShared(a, id, valueMm, site.survey.frameOn.lengthMm);
    if (shared) return shared;
    if (id === 'span') {
      if (valueMm > site.bed.inside.widthMm)
        return fail(id, 'The feet would stand outside the bed: make the span smaller than the bed inside.');
      return ok({ ...a, spanMm: valueMm });
    }
    if (id === 'bury') return ok({ ...a, legDepthMm: valueMm });
    return fail(id, 'This dimension follows from the others and cannot be typed.');
  },
  change: (a, change, built) => {
    // A wire tunnel stays of wire and fabric.
    if (change.kind === 'pipe' && !isWire(change.key)) return undefined;
    if (change.kind === 'ridge') return change.value === 'tied' ? { ...a, ridge: 'rope' } : undefined;
    return changeShared(a, change, built);
  },
  assemble,
};
