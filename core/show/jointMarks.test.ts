import { siteOf } from '../testing/site';
import { FAMILY_KEYS, familyOf } from '../cover/families';
import { bounds, drawAssembly } from './project';
import { jointMarks } from './jointMarks';

const site = siteOf(2440, 1220);
const built = (key: string) => {
  const a = familyOf(key).assemble(familyOf(key).defaults(site), site);
  if (!a.ok) throw new Error(key);
  return a.value;
};

test('straps show once a foot from above, and once a side from the end, with their number', () => {
  const a = built('hinged-hoop-lid');
  const hoops = a.arches[0]?.tags.length ?? 0;
  const straps = (view: 'end' | 'plan') => jointMarks(a, view).find((m) => / straps?: /.test(m.text));
  expect(straps('plan')?.at).toHaveLength(2 * hoops);
  expect(straps('end')?.at).toHaveLength(2);
  expect(straps('end')?.text).toMatch(new RegExp(`^${2 * hoops} `));
});

test.each(FAMILY_KEYS)('%s: every mark lies on the cover, on its bed or where its skirts are weighted', (key) => {
  const a = built(key);
  for (const view of ['end', 'side', 'plan'] as const) {
    const { u0, v0, u1, v1 } = bounds(drawAssembly(a, site.bed, site.survey, view));
    for (const m of jointMarks(a, view))
      for (const [u, v] of m.at) {
        expect(u).toBeGreaterThan(u0 - 250);
        expect(u).toBeLessThan(u1 + 250);
        expect(v).toBeGreaterThan(v0 - (view === 'plan' ? 250 : 650));
        expect(v).toBeLessThan(v1 + (view === 'plan' ? 250 : 30));
      }
  }
});
