import { phraseText } from '../base/figure';
import { ok } from '../base/result';
import { FAMILY_KEYS, familyOf } from '../cover/families';
import { buildSite } from '../garden/buildSite';
import { demoGarden } from '../garden/demo';
import type { Cover } from '../garden/garden';
import { singleFixes } from './fixes';
import type { Assessment } from '../assessment';
import { assessCover } from '../plan';

test.each(FAMILY_KEYS)('every mend of a %s does what its words say, on two beds, after any one other choice', (key) => {
  const harsh = {
    ...demoGarden(),
    site: { ...demoGarden().site, snow: { by: 'depth', depthMm: 700, kind: 'wet' } as const, gustMPerS: 42 },
  };
  const found = harsh.beds.slice(0, 2).flatMap((bed, n) => {
    // Of each choice one other than the first; on the second bed only what it starts with.
    const site = buildSite(harsh, bed.id);
    if (!site) return [];
    const first = familyOf(key).defaults(site);
    const tries = familyOf(key)
      .questions(first, { site, assembly: undefined })
      .flatMap((q) => (q.kind === 'choice' ? q.options.slice(1, 2).map((o) => ({ [q.id]: o.value })) : []));
    return [{}, ...(n === 0 ? tries : [])].flatMap((more) => {
      const [id, value] = Object.entries(more)[0] ?? [];
      const answers =
        id === undefined ? ok(first) : familyOf(key).answer(first, id, value as string, { site, assembly: undefined });
      if (!answers.ok) return [];
      const cover = {
        ...harsh.covers[0],
        id: 'c',
        family: key,
        bedId: bed.id,
        answers: answers.value,
        kept: null,
      } as Cover;
      const o = assessCover(harsh, cover);
      if (!o.ok) return [];
      return singleFixes(o.value, (a) => assessCover(harsh, { ...cover, answers: a } as Cover)).map((mend) => ({
        before: o.value,
        mend,
      }));
    });
  });

  const wrong = found.flatMap(({ before, mend }) => {
    const after = assessCover(before.garden, { ...before.cover, answers: mend.answers });
    const label = phraseText(mend.label, { length: 'in', temperature: 'C', currency: 'USD' });
    if (!after.ok) return [`${label}: cannot be built`];
    const rank = { fails: 0, tight: 1, holds: 2 };
    const of = (o: Assessment) => o.judged().checks.find((c) => c.id === mend.checkId);
    const [was, is] = [of(before), of(after.value)];
    const said: string[] = [];
    if (was && is && rank[is.verdict] <= rank[was.verdict])
      said.push(`${mend.checkId}, ${label}: ${was.verdict} stays ${is.verdict}`);
    // "6 hoops", "3 bars in each lid", "8 anchors": so many there are then.
    const [, number, what] = /^(\d+) (?!mm |PVC|steel|conduit)(.+)$/.exec(label) ?? [];
    if (number === undefined || what === undefined) return said;
    const a = after.value.assembly;
    const counted = [
      ...a.arches.map((x) => [(x.what ?? 'Hoops').toLowerCase(), x.tags.length] as const),
      ...[...a.beams, ...a.spans].flatMap((x) => (x.asked ? x.asked.words.map((w) => [w, x.asked?.now] as const) : [])),
      ...a.footing.holdDowns.map((h) => [h.what, h.count] as const),
      ...a.moving.flatMap((m) =>
        m.hung
          ? ([
              ['latches', m.hung.latches.count],
              ['stays', m.hung.stays.count],
            ] as const)
          : [],
      ),
      ['openers', Number(mend.answers['openers'])] as const,
      ...(['tie', 'ties'] as const).map(
        (w) => [`cross ${w}`, a.members.filter((m) => m.part === 'Cross tie').length] as const,
      ),
    ];
    const there = counted.filter(([w]) => w === what).map(([, n]) => n);
    if (!there.includes(Number(number))) said.push(`${label}: there are ${there.join(', ') || 'none counted'}`);
    return said;
  });
  expect([...new Set(wrong)]).toEqual([]);
});
