/** What holds of every cover, whatever was answered: what is listed and what is said are one. */
import fc from 'fast-check';
import type { Answers } from '../answers/parameter';
import { siteOf } from '../../testing/site';
import { type Vec3, distance, faceArea } from '../../base/geometry';
import { overlapMm, slabOf, solidOf } from '../../testing/solid';
import type { BuildSite } from '../../site/buildSite';
import type { Assembly } from '../assembly/types';
import { KINDS, hardwareOf, jointKind } from '../joints';
import { countOfJoint } from '../joints/kind';
import { FAMILY_KEYS, familyOf } from '.';

const beds: readonly BuildSite[] = [
  siteOf(2440, 1220),
  siteOf(4300, 1000, { windy: true, market: 'metric' }),
  siteOf(1500, 900),
];

/** First answers, of a part of the bed that starts and ends over soil where a part can be covered. */
function first(key: string, site: BuildSite, partly: boolean): Answers {
  const answers = familyOf(key).defaults(site);
  const extent = { kind: 'part', startMm: 250, lengthMm: site.survey.frameOn.lengthMm - 400 };
  return partly && 'extent' in answers ? { ...answers, extent } : answers;
}

/** Answers of a family with some of its choices made otherwise, as far as they can be built. */
function tried(key: string, site: BuildSite, picks: readonly number[], partly: boolean): Assembly | undefined {
  const family = familyOf(key);
  let answers = first(key, site, partly);
  let last: Assembly | undefined;
  for (const pick of picks) {
    const now = family.assemble(answers, site);
    if (!now.ok) return last;
    last = now.value;
    const choices = family.questions(answers, { site, assembly: now.value }).filter((q) => q.kind === 'choice');
    const question = choices[pick % choices.length];
    const option = question?.options[Math.floor(pick / choices.length) % question.options.length];
    if (!question || !option) continue;
    const changed = family.answer(answers, question.id, option.value, { site, assembly: now.value });
    if (changed.ok) answers = changed.value;
  }
  const end = family.assemble(answers, site);
  return end.ok ? end.value : last;
}

/** Things by the words that steps and remarks call them: what must be in the lists where one is named. */
const THINGS: readonly (readonly [word: RegExp, there: (a: Assembly) => boolean])[] = (() => {
  const part =
    (word: RegExp) =>
    (a: Assembly): boolean =>
      [...a.members, ...a.sheets, ...a.panels, ...a.blocks].some((p) => word.test(p.part));
  const item =
    (...keys: readonly string[]) =>
    (a: Assembly): boolean =>
      a.hardware.some((h) => keys.includes(h.itemKey));
  const either =
    (...tests: readonly ((a: Assembly) => boolean)[]) =>
    (a: Assembly): boolean =>
      tests.some((t) => t(a));
  return [
    [/\bbattens?\b/i, part(/batten/i)],
    [/\bclips?\b/i, item('clip', 'roll-clip')],
    [/\bfoam\b/i, item('foam-strip')],
    [/\bstaples?\b/i, item('staple')],
    [/\brope|\blace\b/i, either(item('rope'), (a) => a.steps.some((x) => x.tools.includes('rope')))],
    [/\bbags? (?!of post)|sandbag/i, item('sandbag')],
    [/post mix/i, item('post-mix')],
    [/\bstraps?\b/i, either(item('strap', 'u-strap'), item('rope'))],
    [/\bhinges?\b(?! (rail|end|side))/i, item('hinge', 'door-hinge', 'vent-flap')],
    [/\bhandles?\b/i, item('handle')],
    [/\blatch(es)?\b/i, item('latch', 'door-latch')],
    [/\b(chain )?stays\b(?! (down|open))/i, item('stay')],
    [/\bopeners?\b/i, item('opener')],
    [/\blouvres?\b/i, item('louvre')],
    [/\bbrackets?\b/i, item('bracket')],
    [/\bhooks? (to|and|the frame)/i, item('hook')],
    [/\bground anchors?\b/i, item('ground-anchor')],
    [/\btees?\b/i, item('tee')],
    [/four-way/i, item('four-way')],
    [/three-way/i, item('three-way')],
    [/\belbows?\b/i, item('elbow-45', 'elbow-90')],
    [/\bcaps?\b(?! the)/i, item('end-cap', 'socket-cap')],
    [/\bsockets?\b/i, item('socket-cap', 'tee', 'elbow-45', 'three-way', 'four-way')],
    [/closure strip/i, item('glazing-strip')],
    [/joining strip/i, item('joining-strip')],
    [/safety film/i, either(item('safety-film'), (a) => a.steps.some((x) => x.id === 'glaze'))],
    [/split hose/i, item('edge-guard')],
    [/\bcranks?\b/i, item('crank')],
    [/spring wire/i, item('spring-wire')],
    [/\bpurlins?\b/i, part(/purlin/i)],
    [/\bcurtains?\b/i, part(/curtain/i)],
    [/\bflaps? (at|hang|and)/i, part(/flap/i)],
    [/\bplywood\b/i, (a) => a.panels.some((p) => p.sheet.kind === 'plywood')],
    [/insect net|\bthe net\b/i, (a) => a.sheets.some((x) => x.cover.kind === 'net')],
    [/cross ties?\b/i, part(/cross tie/i)],
    [/\bprops? /i, part(/prop/i)],
    [/\bu-bolts?\b/i, item('u-bolt')],
    [/\bcable ties?\b/i, item('cable-tie')],
  ];
})();

/** All that a step or a remark says to do, in words. */
const said = (a: Assembly): readonly (readonly [where: string, text: string])[] => [
  ...a.steps.flatMap((x) =>
    [[x.title] as const, ...x.work, ...x.checks].map(
      (line) => [x.id, line.map((w) => (typeof w === 'string' ? w : '')).join(' ')] as const,
    ),
  ),
  ...a.remarks.map((text) => ['remark', text] as const),
];

/** Kinds of joint as one counts none of them: what is not there is not spoken of. */
const NONE = Object.values(KINDS).map(({ name }) => ` no ${name[1]}`);

const everyTag = (a: Assembly): Set<string> =>
  new Set([...a.members, ...a.sheets, ...a.panels, ...a.blocks].map((p) => p.tag));

/** Every school by itself, and schools mixed at random: always the same ones, so that a fault found is found again. */
function many(key: string): readonly (readonly [said: string, a: Assembly])[] {
  const bed = beds[0];
  const family = familyOf(key);
  if (!bed) return [];
  const answers = family.defaults(bed);
  const now = family.assemble(answers, bed);
  if (!now.ok) throw new Error(key);
  const choices = family
    .questions(answers, { site: bed, assembly: now.value })
    .filter((q) => q.kind === 'choice' && q.id !== 'roll');
  const single = choices.flatMap((q, i) =>
    q.kind === 'choice' ? q.options.map((_, n) => [i + choices.length * n]) : [],
  );
  const mixed = fc.sample(fc.array(fc.nat(5000), { minLength: 2, maxLength: 6 }), { numRuns: 30, seed: 7 });
  return [...single, ...mixed].flatMap((picks, n) => {
    const site = beds[n % beds.length] ?? bed;
    const partly = n % 4 === 3;
    const a = tried(key, site, picks, partly);
    return a ? [[`${partly ? 'part of ' : ''}bed ${n % beds.length}, picks ${picks.join(' ')}`, a] as const] : [];
  });
}

describe.each(FAMILY_KEYS)('%s', (key) => {
  const all = many(key);
  /** Faults that a rule finds, each with the cover it was found on. */
  const faults = (rule: (a: Assembly) => readonly string[], looked = all): readonly string[] =>
    looked.flatMap(([said, a]) => rule(a).map((fault) => `${said}: ${fault}`));

  test('many covers are looked at', () => expect(all.length).toBeGreaterThan(40));

  test('as it starts, a hand gets in on every bed', () => {
    for (const site of beds) {
      const a = familyOf(key).assemble(familyOf(key).defaults(site), site);
      if (!a.ok) throw new Error(a.faults[0]?.message);
      expect(a.value.openings.filter((o) => o.reachedFrom !== 'none')).not.toEqual([]);
    }
  });

  test('every piece is put in place in a step, and a step names nothing else', () => {
    expect(
      faults((a) => {
        const tags = everyTag(a);
        const named = new Set(a.steps.flatMap((s) => s.tags));
        const placed = new Set(a.steps.filter((s) => s.id !== 'cut').flatMap((s) => s.tags));
        return [
          ...[...named].filter((t) => !tags.has(t)).map((t) => `${t} is named but not there`),
          ...[...tags].filter((t) => !placed.has(t)).map((t) => `${t} is never put in place`),
        ];
      }),
    ).toEqual([]);
  });

  test('straight pieces are as long as they are cut, and none stands in another', () => {
    expect([
      ...new Set(
        faults(
          (a) => {
            const straight = a.members.filter((m) => m.shape.kind === 'straight');
            const sleeved = new Set(
              a.sleeves.flatMap((x) => [`${x.outer.key} ${x.inner.key}`, `${x.inner.key} ${x.outer.key}`]),
            );
            return straight.flatMap((m, i) =>
              straight.slice(i + 1).flatMap((n) => {
                // A lath is let into the studs that it braces.
                const letIn = [m, n].some((x) => x.part === 'Brace' && x.section.shape.kind === 'board');
                if (letIn || sleeved.has(`${m.section.key} ${n.section.key}`)) return [];
                const deep = overlapMm(solidOf(m), solidOf(n));
                // Less than a saw's own width is trimmed as it is fitted.
                return deep > 3 ? [`${m.part} in ${n.part} by ${Math.round(deep)} mm`] : [];
              }),
            );
            // Every pair of pieces takes its time: one cover in three.
          },
          all.filter((_, i) => i % 3 === 0),
        ).map((fault) => fault.replace(/^(bed \d), picks [\d ]+: /, '$1: ')),
      ),
    ]).toEqual([]);
  });

  test('no stiff sheet stands in wood or pipe, or in another sheet', () => {
    expect([
      ...new Set(
        faults(
          (a) => {
            const straight = a.members.filter((m) => m.shape.kind === 'straight');
            const slabs = a.panels.map((p) => [p, slabOf(p)] as const);
            const others = [...straight.map((m) => [m, solidOf(m)] as const), ...slabs];
            return slabs.flatMap(([p, slab]) =>
              others.flatMap(([other, solid]) => {
                const deep = other.tag === p.tag ? 0 : overlapMm(slab, solid);
                return deep > 3 ? [`${p.part} in ${other.part} by ${Math.round(deep)} mm`] : [];
              }),
            );
          },
          all.filter((_, i) => i % 3 === 1),
        ).map((fault) => fault.replace(/^(bed \d), picks [\d ]+: /, '$1: ')),
      ),
    ]).toEqual([]);
  });

  test('curved pieces are as long as they are cut, and a sheet is at least as large as what it lies over', () => {
    const long = (points: readonly Vec3[]): number =>
      points.slice(1).reduce((sum, p, i) => sum + distance(points[i] ?? p, p), 0);
    const summed = (lines: readonly { readonly mm: number }[]): number => lines.reduce((sum, l) => sum + l.mm, 0);
    expect([
      ...new Set(
        faults((a) => [
          // Drawn in straight stretches a curve comes out a little short.
          ...a.members.flatMap((m) => {
            const drawn = m.shape.kind === 'curve' ? long(m.shape.points) : m.lengthMm;
            const right = drawn <= m.lengthMm + 1 && drawn >= m.lengthMm * 0.995 - 1;
            return right ? [] : [`${m.part} is drawn ${Math.round(drawn)} mm long and cut ${Math.round(m.lengthMm)}`];
          }),
          ...a.sheets
            .filter((s) => s.cover.kind !== 'mesh' && !s.part.endsWith('skin'))
            .flatMap((s) => {
              const [across, along] = [summed(s.across), summed(s.along)];
              const runs = s.faces.filter((f) => new Set(f.map((p) => Math.round(p[0]))).size > 1);
              const xs = runs.flat().map((p) => p[0]);
              const ends = s.faces.filter((f) => !runs.includes(f));
              const girth = runs
                .filter((f) => f.every((p) => [Math.min(...xs), Math.max(...xs)].some((x) => Math.abs(p[0] - x) < 1)))
                .reduce(
                  (sum, f) =>
                    sum + faceArea(f) / Math.max(1, Math.max(...f.map((p) => p[0])) - Math.min(...f.map((p) => p[0]))),
                  0,
                );
              const covers = xs.length === 0 || (girth <= across + 2 && Math.max(...xs) - Math.min(...xs) <= along + 2);
              // An end by itself, whichever way it is cut.
              const alone = xs.length > 0 ? [] : ends;
              const fits = alone.every((f) => {
                const [w, h] = [1, 2].map(
                  (k) => Math.max(...f.map((p) => p[k] ?? 0)) - Math.min(...f.map((p) => p[k] ?? 0)),
                );
                return [
                  [across, along],
                  [along, across],
                ].some(([u = 0, v = 0]) => (w ?? 0) <= u + 2 && (h ?? 0) <= v + 2);
              });
              return covers && fits
                ? []
                : [
                    `${s.part} ${s.tag} is smaller than what it covers: ${Math.round(girth)} of ${Math.round(across)} across`,
                  ];
            }),
        ]).map((fault) => fault.replace(/^(bed \d), picks [\d ]+: /, '$1: ')),
      ),
    ]).toEqual([]);
  });

  test('a mark names a piece that is there', () => {
    expect(
      faults((a) => {
        const tags = everyTag(a);
        return a.members.flatMap((m) =>
          m.marks
            .filter((k) => /^[A-Z]+\d+[a-z]?$/.test(k.label) && !tags.has(k.label))
            .map((k) => `${m.tag} is marked for ${k.label}`),
        );
      }),
    ).toEqual([]);
  });

  test('what a step or a remark names is in the lists', () => {
    expect([
      ...new Set(
        faults((a) =>
          said(a).flatMap(([where, text]) =>
            THINGS.flatMap(([word, there]) =>
              word.test(text) && !there(a) ? [`${where} names ${String(word.exec(text)?.[0])}: ${text}`] : [],
            ),
          ),
        ).map((fault) => fault.replace(/^bed \d, picks [\d ]+: /, '')),
      ),
    ]).toEqual([]);
  });

  test('no step counts what is not there: every count at its least', () => {
    const family = familyOf(key);
    const told = beds.flatMap((site) => {
      const made = family.assemble(family.defaults(site), site);
      if (!made.ok) return [];
      const counts = family
        .questions(family.defaults(site), { site, assembly: made.value })
        .filter((q) => q.kind === 'count');
      return counts.flatMap((q) => {
        const changed = family.answer(family.defaults(site), q.id, q.min, { site, assembly: made.value });
        const fewest = changed.ok ? family.assemble(changed.value, site) : changed;
        return fewest.ok ? said(fewest.value) : [];
      });
    });
    expect(
      told
        .filter(([, text]) => NONE.some((none) => ` ${text}`.toLowerCase().includes(none)))
        .map(([id, text]) => `${id}: ${text}`),
    ).toEqual([]);
  });

  test('every joint is made in one step, and joins pieces that are there', () => {
    expect(
      faults((a) => {
        const tags = everyTag(a);
        const ids = a.joints.map((j) => j.id);
        const made = a.steps.flatMap((s) => s.joints);
        return [
          ...ids.filter((id, i) => ids.indexOf(id) !== i).map((id) => `two joints are called ${id}`),
          ...made.filter((id) => !ids.includes(id)).map((id) => `a step makes ${id}, which is not there`),
          ...a.joints.flatMap((j) => [
            // What is asked for and not there, and an edge that is left bare, is made in no step.
            ...(countOfJoint(j) > 0 &&
            !(jointKind(j.kind).guards?.(j).guarded === false) &&
            made.filter((id) => id === j.id).length !== 1
              ? [`${j.id} is made in ${made.filter((id) => id === j.id).length} steps`]
              : []),
            ...j.tags.filter((t) => !tags.has(t)).map((t) => `${j.id} joins ${t}, which is not there`),
            ...(j.places.flat().every(Number.isFinite) ? [] : [`${j.id} has no place`]),
          ]),
        ];
      }),
    ).toEqual([]);
  });

  test('what is bought is what the joints take, and the steps use up all of it', () => {
    expect(
      faults((a) => {
        const whole = new Set([...a.blocks.map((b) => b.itemKey), 'old-window']);
        const sum = (list: Assembly['hardware']): string =>
          [...new Set(list.map((h) => h.itemKey))]
            .filter((k) => !whole.has(k))
            .sort()
            .map((k) => `${k} ${list.filter((h) => h.itemKey === k).reduce((n, h) => n + h.count, 0)}`)
            .join();
        const bought = sum(a.hardware);
        const used = sum(a.steps.flatMap((s) => s.takes));
        return [
          ...(sum(hardwareOf(a.joints)) === bought ? [] : ['joints and list differ']),
          ...(used === bought ? [] : [`bought ${bought}; used ${used}`]),
        ];
      }),
    ).toEqual([]);
  });

  test('what is screwed is cut: battens have their boards, and every joint has pieces', () => {
    expect(
      faults((a) =>
        a.joints.flatMap((j) => {
          if (countOfJoint(j) === 0) return [];
          const joined = a.members.filter((m) => j.tags.includes(m.tag));
          return [
            ...(j.kind === 'batten' && !joined.some((m) => /batten/i.test(m.part)) ? [`${j.id} screws no batten`] : []),
            ...(j.tags.length === 0 && j.kind !== 'put' ? [`${j.id} joins nothing`] : []),
          ];
        }),
      ),
    ).toEqual([]);
  });

  test('nothing floats: every piece is held by a joint', () => {
    expect(
      faults((a) => {
        const joined = new Set(a.joints.flatMap((j) => j.tags));
        return [...a.members, ...a.sheets, ...a.panels].filter((p) => !joined.has(p.tag)).map((p) => `${p.tag} floats`);
      }),
    ).toEqual([]);
  });

  test('what opens is there and is held by joints that are; a hand gets in', () => {
    expect(
      faults((a) => {
        const tags = everyTag(a);
        const ids = new Set(a.joints.map((j) => j.id));
        return [
          ...a.openings.flatMap((o) => [
            ...o.tags.filter((t) => !tags.has(t)).map((t) => `${o.name} moves ${t}, which is not there`),
            ...[...o.shut, ...o.open].filter((id) => !ids.has(id)).map((id) => `${o.name} is held by ${id}`),
            // What a person opens turns about its line or is moved along it, some way.
            ...(('deg' in o.travel ? o.travel.deg : o.travel.mm) > 0 || o.by === 'lift-off'
              ? []
              : [`${o.name} moves nowhere`]),
          ]),
        ];
      }),
    ).toEqual([]);
  });
});
