import { toolName } from '../catalog/handTools';
import { panelAreaM2 } from '../cover/assembly/pieces';
import { coverM2 } from '../cover/assembly/enclosure';
import { sheetSize } from '../make/rolls/rolls';
import { phraseText } from '../base/figure';
import { conditionLines } from '../conditions';
import type { Plan } from '../plan';

/** A plan as plain JSON for other programs: what the app shows, in SI and in the garden's own words. */
export function planReport(p: Plan) {
  const { units } = p.garden;
  const arch = p.assembly.arches[0];
  return {
    cover: { id: p.cover.id, name: p.cover.name, family: p.cover.family, bed: p.site.bed.name },
    note: 'A planning aid. Local codes come first.',
    assembly: {
      panels: p.assembly.panels.map(({ sheet, ...x }) => ({
        ...x,
        sheetKey: sheet.key,
        areaM2: panelAreaM2({ ...x, sheet }),
      })),
      blocks: p.assembly.blocks,
      moving: p.assembly.moving,
      footing: p.assembly.footing,
      members: p.assembly.members.map((m) => ({
        tag: m.tag,
        part: m.part,
        section: m.section.key,
        lengthMm: m.lengthMm,
        ends: m.ends,
        endAnglesDeg: m.endAnglesDeg ?? [0, 0],
        ...(m.taperMm && { taperMm: m.taperMm }),
        ...(m.sawnFrom !== undefined && { sawnFrom: m.sawnFrom }),
        holes: m.holes,
        marks: m.marks,
        shape: m.shape,
      })),
      hardware: p.assembly.hardware,
      hoop: arch && { count: arch.xsMm.length, spacingMm: arch.spacingMm, cutMm: arch.cutMm, ...arch.hoop },
      crop: p.assembly.crop,
      enclosure: enclosureOf(p.assembly.enclosure),
    },
    sheets: p.assembly.sheets.map((s) => ({
      tag: s.tag,
      part: s.part,
      cover: s.cover.key,
      ...sheetSize(s),
      across: s.across,
      along: s.along,
    })),
    rolls: p.rolls.rolls.map((r) => ({ roll: r.roll.key, fromShelf: r.fromShelf, leftMm: r.leftMm, placed: r.placed })),
    seams: p.rolls.seams.map(({ cover, ...s }) => ({ ...s, coverKey: cover.key })),
    cuts: p.cuts.map(({ section, ...c }) => ({ sectionKey: section.key, ...c })),
    sheetCuts: p.sheets.sheets.map(({ sheet, ...s }) => ({ sheetKey: sheet.key, ...s, size: s.size.key })),
    checks: p.judged().checks.map((c) => ({
      id: c.id,
      kind: c.kind,
      verdict: c.verdict,
      text: phraseText(c.text, units),
      ...(c.sure && { sure: c.sure.of }),
      mends: p.mends
        .filter((m) => m.checkId === c.id)
        .map((m) => ({ label: phraseText(m.label, units), cost: m.cost, gives: m.gives, loosens: m.loosens })),
    })),
    mends: p.mends
      .filter((m) => m.checkId === undefined)
      .map((m) => ({ label: phraseText(m.label, units), cost: m.cost, gives: m.gives, loosens: m.loosens })),
    lifts: p.lifts.map((f) => ({ what: f.label, kg: f.value })),
    judgedFor: conditionLines(p).map((line) => phraseText(line, units)),
    notJudged: p.judged().unjudged,
    strength: p.judged().strengths.map((s) => ({
      what: s.what,
      ratio: Number.isFinite(s.ratio) ? s.ratio : null,
      governs: s.governs,
      snowCase: s.snowCase,
      wetSnowMm: Number.isFinite(s.wetSnowMm) ? s.wetSnowMm : null,
    })),
    air: {
      riseShutC: p.air.riseShutC,
      ventEachM2: p.air.ventEachM2,
      floorRuleM2: p.air.ruleM2,
      sunAltitudeDeg: p.air.sunAltitudeDeg,
      sunWPerM2: p.air.sunWPerM2,
    },
    shopping: {
      lines: p.shopping.lines.map((l) => ({ ...l, size: phraseText(l.size, units) })),
      paid: p.shopping.paid,
      used: p.shopping.used,
      currency: units.currency,
    },
    steps: p.assembly.steps.map((s) => ({
      ...s,
      work: s.work.map((line) => phraseText(line, units)),
      checks: s.checks.map((line) => phraseText(line, units)),
      tools: s.tools.map((t) => phraseText(toolName(t), units)),
    })),
    hours: p.hours.value,
    coldestNightC: p.coldest.value,
  };
}

function enclosureOf({ skins, ...rest }: Plan['assembly']['enclosure']) {
  const [{ cover, inner }] = skins;
  return {
    coverKey: cover.key,
    ...(inner && { innerKey: inner.key }),
    coverM2: coverM2({ skins }),
    skins: skins.map((s) => ({ coverKey: s.cover.key, ...(s.inner && { innerKey: s.inner.key }), m2: s.m2 })),
    ...rest,
  };
}
