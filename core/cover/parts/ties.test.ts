import fc from 'fast-check';
import { at, build } from '../../testing/site';
import { type TieSite, longestFree, tiePlaces } from './ties';

const SITE: TieSite = { from: 0, to: 1000, beside: [], apart: 60 };

test('without hoops ties stand even, and beside one where it costs little', () => {
  expect(tiePlaces(3, SITE)).toEqual([250, 500, 750]);
  // 10 off the middle is taken; 200 off would leave as much free as no tie at all.
  expect(tiePlaces(1, { ...SITE, beside: [510] })).toEqual([510]);
  expect(tiePlaces(2, { ...SITE, beside: [100, 660] })).toEqual([1000 / 3, 660]);
});

test('wherever the hoops are, no two ties share a place, none stands in an end board, and each further one buys something', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 800, max: 6000, noNaN: true }),
      fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { maxLength: 12 }),
      (to, parts) => {
        const site = { from: 0, to, beside: parts.map((p) => p * to), apart: 60 };
        let before = Infinity;
        for (let n = 0; n <= 8; n++) {
          const places = [...tiePlaces(n, site)].sort((a, b) => a - b);
          expect(places).toHaveLength(n);
          for (const [i, x] of [...places, to].entries())
            expect(x - (i === 0 ? 0 : (places[i - 1] ?? 0))).toBeGreaterThanOrEqual(59.9);
          const free = longestFree(site, places);
          expect(free).toBeLessThan(before);
          before = free;
        }
      },
    ),
  );
});

test('what the check reckons with is what stands there: the longest rail between the ties as they are drawn', () => {
  for (const crossTies of [0, 1, 2, 3, 5])
    for (const key of ['hinged-hoop-lid', 'lift-off-cover']) {
      const a = build(key, at(128, 44), { crossTies });
      const x = (tag: string): number => {
        const m = a.members.find((p) => p.tag === tag);
        return m?.shape.kind === 'straight' ? m.shape.from[0] : NaN;
      };
      const ties = a.members.filter((m) => m.part === 'Cross tie').map((m) => x(m.tag));
      expect(ties).toHaveLength(crossTies);
      const ends = a.members.filter((m) => m.part === 'End board').map((m) => x(m.tag));
      const supports = [...ends, ...ties].sort((p, q) => p - q);
      const longest = Math.max(...supports.slice(1).map((s, i) => s - (supports[i] ?? 0)));
      expect(a.pushedRails[0]?.freeLengthMm).toBeCloseTo(longest, 6);
      // And each is marked on the rails where it stands.
      const front = a.members.find((m) => m.tag.startsWith('A1'));
      const from = front?.shape.kind === 'straight' ? front.shape.from[0] : NaN;
      for (const mark of front?.marks.filter((m) => m.label.startsWith('T')) ?? [])
        expect(from + mark.atMm).toBeCloseTo(x(mark.label), 6);
    }
});
