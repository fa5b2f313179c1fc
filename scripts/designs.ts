/**
 * The net under a change of the inside: every kind of cover on every demo bed in both markets, each question answered each way, one line
 * a design with all that it comes to.
 * `run.mjs scripts/designs.ts FILE` writes them; `run.mjs scripts/designs.ts FILE OTHER` says what differs, by kind of difference.
 */
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { phraseText } from '../core/base/figure';
import { FAMILIES } from '../core/cover/families';
import { quickPrice } from '../core/cut';
import { demoGarden } from '../core/garden/demo';
import type { Garden } from '../core/garden/garden';
import type { Assessment } from '../core/assessment';
import { assessCover } from '../core/plan';
import { firstCover } from '../core/explore/firstDesigns';

const UNITS = { length: 'mm', temperature: 'C', currency: 'EUR' } as const;
const near = (x: number): number => Number(x.toPrecision(9));

function comesTo(o: Assessment): Readonly<Record<string, unknown>> {
  const of: Record<string, unknown> = {
    price: near(quickPrice(o)),
    members: o.assembly.members.length,
    joints: o.assembly.joints.length,
    steps: o.assembly.steps.map((s) => [s.title, ...s.work.map((w) => phraseText(w, UNITS))].join(' | ')),
    strengths: o.judged().strengths.map((s) => [s.what, s.governs, near(s.wetSnowMm), near(s.ratio)]),
    coldest: near(o.coldest.value),
    rise: near(o.air.riseShutC),
    hours: near(o.hours.value),
    order: o.judged().checks.map((c) => c.id),
  };
  for (const c of o.judged().checks) {
    of[`${c.id}: verdict`] = c.verdict;
    of[`${c.id}: text`] = phraseText(c.text, UNITS);
    of[`${c.id}: tries`] = c.tries.map((t) => phraseText(t.label, UNITS));
    of[`${c.id}: figure`] = c.figure && [c.figure.label, near(c.figure.value)];
    of[`${c.id}: sure`] = c.sure && phraseText(c.sure.words, UNITS);
  }
  return of;
}

function* designs(): Generator<readonly [string, Readonly<Record<string, unknown>>]> {
  const demo = demoGarden();
  const gardens: readonly (readonly [string, Garden])[] = (['imperial', 'metric'] as const).map((stock) => [
    stock,
    { ...demo, units: { ...demo.units, stock } },
  ]);
  for (const [market, garden] of gardens)
    for (const bed of garden.beds)
      for (const family of FAMILIES) {
        const cover = firstCover(garden, bed.id, family.key, 'x', 'X');
        const first = cover && assessCover(garden, cover);
        if (!cover || !first?.ok) continue;
        const name = `${market} ${bed.id} ${family.key}`;
        yield [name, comesTo(first.value)];
        for (const q of family.questions(cover.answers, first.value)) {
          const values = q.kind === 'choice' ? q.options.map((o) => o.value).filter((v) => v !== q.value) : [];
          for (const value of values) {
            const answers = family.answer(cover.answers, q.id, value, first.value);
            const made = answers.ok
              ? assessCover(garden, { ...cover, answers: answers.value } as typeof cover)
              : answers;
            yield [`${name} ${q.id}=${value}`, made.ok ? comesTo(made.value) : { faults: made.faults }];
          }
        }
      }
}

type Lines = ReadonlyMap<string, Readonly<Record<string, unknown>>>;
const read = (file: string): Lines =>
  new Map(
    readFileSync(file, 'utf8')
      .trim()
      .split('\n')
      .map((line) => JSON.parse(line) as [string, Record<string, unknown>]),
  );

const [file, other] = process.argv.slice(2);
if (file === undefined) throw new Error('say which file to write, or which two to compare');
if (other === undefined) {
  const lines = [...designs()].map((d) => JSON.stringify(d));
  writeFileSync(file, `${lines.join('\n')}\n`);
  process.stdout.write(`${lines.length} designs in ${file}\n`);
} else {
  if (!existsSync(other)) throw new Error(`${other} is not there`);
  const [a, b] = [read(file), read(other)];
  const kinds = new Map<string, { count: number; first: string }>();
  for (const name of new Set([...a.keys(), ...b.keys()])) {
    const [was, is] = [a.get(name) ?? {}, b.get(name) ?? {}];
    for (const key of new Set([...Object.keys(was), ...Object.keys(is)])) {
      const [x, y] = [JSON.stringify(was[key]), JSON.stringify(is[key])];
      if (x === y) continue;
      const found = kinds.get(key);
      kinds.set(key, { count: (found?.count ?? 0) + 1, first: found?.first ?? `${name}: ${x} | ${y}` });
    }
  }
  for (const [key, { count, first }] of [...kinds].sort((x, y) => y[1].count - x[1].count))
    process.stdout.write(`${count} × ${key}, first in ${first.slice(0, 600)}\n`);
  process.stdout.write(`${a.size} and ${b.size} designs, ${kinds.size} kinds of difference\n`);
}
