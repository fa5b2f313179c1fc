import { shown } from '../../../testing/judged';
import { SHIPPED, fitOf, spreadOf } from '../../../catalog/catalog';
import { thicknessMm } from '../../../catalog/sections';
/** Other ways to build the house: two straight pipes and elbows, cored hoops, posts bolted to the bed. */
import type { CheckSite } from '../../../judge/strength/check';
import { postChecks } from '../../../judge/strength/posts';
import { endsOf } from '../../assembly/pieces';
import { solveHoop } from '../../hoop/elastica';
import { hoopCollapse } from '../../../judge/frame/hoop';
import { designSnow } from '../../../judge/strength/snow';
import { hoopStrength } from '../../../judge/strength/snowStrength';
import { at, build, countItems, inch, siteOf } from '../../../testing/site';
import { familyOf } from '..';

const IN = 25.4;
const house = (more: object) => build('walk-in', at(128, 44), more);
/** Wet snow that its hoops carry, mm. */
const carries = (more: object): number => {
  const [arch] = house(more).arches;
  if (!arch) throw new Error('no hoops');
  return hoopStrength(arch, designSnow({ by: 'depth', depthMm: 300, kind: 'wet' }, 'normal')).wetSnowMm;
};
const refusal = (more: object, site = at(128, 44)): readonly string[] => {
  const family = familyOf('walk-in');
  const made = family.assemble({ ...family.defaults(site), ...more }, site);
  return made.ok ? [] : made.faults.map((f) => f.field);
};

test('what rolls up on a side is its own bar and curtain', () => {
  const made = house({ sheets: 'roof-and-curtains', sides: 'roll-up' });
  const rolled = made.openings.filter((o) => o.by === 'roll-up');
  expect(rolled).toHaveLength(2);
  const middle = rolled.reduce((sum, o) => sum + (o.line[0]?.[1] ?? 0), 0) / 2;
  for (const o of rolled) {
    const near = (o.line[0]?.[1] ?? 0) < middle;
    const bars = made.members.filter((m) => o.tags.includes(m.tag));
    const curtains = made.sheets.filter((s) => o.tags.includes(s.tag));
    expect([bars.every((m) => m.part.startsWith('Roll bar')), curtains.map((s) => s.part)]).toEqual([
      true,
      ['Side curtain'],
    ]);
    const ys = [...endsOf(bars), ...curtains.flatMap((s) => s.faces.flat())].map((p) => p[1]);
    expect(bars.length).toBeGreaterThan(0);
    expect(ys.every((y) => y < middle === near)).toBe(true);
  }
});

describe('two straight pipes and elbows', () => {
  // At 24 in the door would not fit under a roof of 45 degrees.
  const tall = { roof: 'straight', sidewallMm: inch(36) };
  const a = house(tall);
  const cut = (part: string): number[] => [
    ...new Set(a.members.filter((m) => m.part === part).map((m) => Math.round((m.lengthMm / IN) * 1000) / 1000)),
  ];

  test('stubs, rafters and ridge pipes, worked by hand', () => {
    // 1-1/4 elbow takes up .375, corner and cross .84375. Stub: 6 over the post, 50 mm free.
    expect(cut('Stub')).toEqual([Math.round((6 + 50 / IN) * 1000) / 1000]);
    // 60 in at 45 degrees: 60 √2 = 84.853, less both fittings.
    expect(cut('Rafter')).toEqual([Math.round((60 * Math.SQRT2 - 0.375 - 0.84375) * 1000) / 1000]);
    // Five frames over 176 - 1.66: 43.585 apart, less two crosses.
    for (const mm of a.members.filter((m) => m.part === 'Ridge pipe').map((m) => m.lengthMm))
      expect(mm / IN).toBeCloseTo((176 - 1.66) / 4 - 2 * 0.84375, 6);
    expect(a.members.filter((m) => m.part === 'Rafter')).toHaveLength(10);
  });

  test('as many fittings as there are corners, and a screw in every socket', () => {
    expect([countItems(a, 'elbow-45'), countItems(a, 'three-way'), countItems(a, 'four-way')]).toEqual([10, 2, 3]);
    // Elbows 2 x 10, end corners 3 x 2, crosses 4 x 3.
    expect(a.joints.find((j) => j.id === 'sockets')?.places).toHaveLength(20 + 6 + 12);
  });

  test('the ridge stands half the width over the eaves, which stand an elbow and a thumb over the posts', () => {
    const crown = a.dimensions.find((d) => d.id === 'height');
    expect((crown?.valueMm ?? 0) / IN).toBeCloseTo(36 + 50 / IN + 0.375 + 60, 6);
    expect(crown?.typed).toBe(false);
    expect(a.arches[0]).toMatchObject({ what: 'Frames', sprung: false });
    // Of each hoop its two pipes and the two that stand under them.
    expect([a.arches[0]?.tags.length, a.arches[0]?.xsMm.length]).toEqual([20, 5]);
  });

  test('nothing is bent: no bending step, and no question about its height', () => {
    expect(a.steps.map((s) => s.id)).not.toContain('bend');
    expect(a.steps.map((s) => s.id)).toContain('frames');
    const family = familyOf('walk-in');
    const site = at(128, 44);
    const asks = family.questions({ ...family.defaults(site), roof: 'straight' }, { site, assembly: a });
    expect(asks.map((q) => q.id)).not.toContain('school');
    expect(asks.map((q) => q.id)).not.toContain('core');
  });

  test('steep, it carries more snow than the sprung hoops of the same pipe', () => {
    expect(carries(tall)).toBeGreaterThan(carries({}));
  });
});

describe('hoops with something inside', () => {
  test('a bar as long as the sprung part, from foot to foot, screwed at both ends', () => {
    const a = house({ core: 'bar-3' });
    const cores = a.members.filter((m) => m.part === 'Core');
    expect(cores.map((m) => m.tag)).toEqual(['K1', 'K2', 'K3', 'K4', 'K5']);
    // Half a circle of 60 in; the post fills the rest of the pipe.
    expect(cores.map((m) => Math.round((m.lengthMm / IN) * 100) / 100)).toEqual(
      cores.map(() => Math.round(Math.PI * 60 * 100) / 100),
    );
    expect(a.joints.find((j) => j.id === 'cores')).toMatchObject({ kind: 'tekScrew' });
    expect(a.joints.find((j) => j.id === 'cores')?.places).toHaveLength(10);
    expect(a.sleeves.map((s) => s.where)).toEqual(['hoop over post', 'hoop over core']);
  });

  test('the stoutest conduit that slides in, where it reaches in one piece', () => {
    const narrow = {
      core: 'conduit',
      widthMm: inch(60),
      lengthMm: inch(144),
      doorWidthMm: inch(24),
      doorHeightMm: 1000,
      pipe: 'pvc-1',
      post: 'emt-3/4',
    };
    // Half a circle of 30 in is 94.2 in: a conduit of 10 ft reaches. 1 PVC is 1.049 in inside: 3/4 conduit, .922.
    const a = build('walk-in', at(128, 30), narrow);
    expect(a.arches[0]?.core?.key).toBe('emt-3/4');
    // Ten feet do not reach round half a circle of 60 in.
    expect(refusal({ core: 'conduit' })).toEqual(['core']);
  });

  test('what does not go in is refused', () => {
    const site = at(96, 30);
    const small = { pipe: 'pvc-1/2', core: 'bar-4', widthMm: inch(36), doors: 'none', post: 'emt-1/2' };
    // 1/2 PVC is .622 in inside, a 1/2 bar .56 over its ribs: it goes. A conduit of .706 does not.
    expect(refusal({ ...small, lengthMm: inch(104) }, site)).toEqual([]);
    expect(refusal({ ...small, core: 'conduit', lengthMm: inch(104) }, site)).toEqual(['core']);
  });

  test('what goes inside adds half of what it carries by itself: more, and never more than its stiffness would', () => {
    const [none, thin, stout] = [carries({ core: 'none' }), carries({ core: 'bar-3' }), carries({ core: 'bar-4' })];
    expect(thin).toBeGreaterThan(1.05 * none);
    // EI: pipe 1380 MPa x 83e3 mm4 = 1.1e8; bars 200e3 x 413 = .8e8 and x 1304 = 2.6e8 N mm2: never more than these together.
    expect(thin).toBeLessThan((1 + 0.83 / 1.12) * none);
    expect(stout).toBeGreaterThan(thin);
    expect(stout).toBeLessThan((1 + 2.61 / 1.12) * none);
  });
});

describe('corner posts and side rails', () => {
  // 12 ft long: five hoops from 0.83 in to 175.17 in; posts at the first, the third and the last.
  const a = house({ posts: 'rails', sidewallMm: inch(48) });
  const part = (name: string) => a.members.filter((m) => m.part === name);

  test('posts stand beside the ends and the middle alone, and rails on blocks outside them', () => {
    expect(part('Post')).toHaveLength(6);
    expect(countItems(a, 'post-mix')).toBe(6);
    const rail = part('Side rail')[0];
    if (rail?.shape.kind !== 'straight') throw new Error('no rail');
    // A 2x6 on edge, 5-1/2 in high, its top at the sidewall: its middle 2-3/4 in under it.
    expect(rail.shape.from[2] / IN).toBeCloseTo(48 - 2.75, 6);
    // Outside the hoop's foot, 1.66 in pipe, by half of both thicknesses.
    const foot = a.arches[0]?.footYMm ?? NaN;
    expect((foot - rail.shape.from[1]) / IN).toBeCloseTo(1.66 / 2 + 1.5 / 2, 6);
    expect(part('Rail block')).toHaveLength(6);
    for (const b of part('Rail block')) {
      if (b.shape.kind !== 'straight') throw new Error(b.tag);
      expect(b.shape.to[2] / IN).toBeCloseTo(48 - 5.5, 6);
    }
    // Both feet of five hoops, two straps each; four screws to a block, three to a rail at each post.
    expect(a.hardware.find((h) => h.joint.startsWith('Two straps at each hoop foot'))?.count).toBe(20);
    expect(a.hardware.filter((h) => /^(Blocks|Side rails)/.test(h.joint)).map((h) => h.count)).toEqual([24, 18]);
  });

  test('the rail bears half of the roof from post to post, is pushed apart between them, and posts bear its bays', () => {
    const [beam] = a.beams;
    const xs = a.arches[0]?.xsMm ?? [];
    const bay = ((xs[4] ?? 0) - (xs[0] ?? 0)) / 2;
    expect(beam).toMatchObject({ what: 'Side rails', across: 'width', asked: { id: 'railPosts', now: 3 } });
    // Posts at the ends stand in by half the pipe and half the post: 1.66 / 2 + 3.5 / 2 in.
    const inMm = inch(1.66 / 2 + 3.5 / 2);
    expect(Math.abs((beam?.spanMm ?? NaN) - bay)).toBeLessThan(inMm + 1);
    expect(beam?.loadWidthMm).toBeCloseTo((a.arches[0]?.hoop.spanMm ?? NaN) / 2, 3);
    expect(a.pushedRails).toMatchObject([{ across: 'thickness', asked: { id: 'railPosts' } }]);
    expect(a.posts).toMatchObject([{ set: 'dug', asked: { id: 'railPosts', now: 3 } }]);
    const four = house({ posts: 'rails', sidewallMm: inch(48), railPosts: 5 });
    expect(four.beams[0]?.spanMm).toBeLessThan(bay / 2 + inMm + 1);
  });

  test('posts of two boards nailed: side by side along the house, each bears for itself', () => {
    const two = house({ posts: 'rails', sidewallMm: inch(48), postOf: 'two-2x4' });
    const posts = two.members.filter((m) => m.part === 'Post');
    expect(posts.map((m) => m.section.key)).toEqual(Array(12).fill('2x4 treated'));
    const [a0, b0] = posts.map((m) => (m.shape.kind === 'straight' ? m.shape.from : [0, 0, 0]));
    // 1-1/2 in boards face to face, both flush with their hoop outside.
    expect([((b0?.[0] ?? 0) - (a0?.[0] ?? 0)) / IN, b0?.[1]]).toEqual([expect.closeTo(1.5, 6), a0?.[1]]);
    expect(two.posts).toMatchObject([{ nailed: 2, across: 'width', asked: { now: 3 } }]);
    expect(countItems(two, 'post-mix')).toBe(6);
    expect(two.members.filter((m) => m.part === 'Rail block')).toHaveLength(6);
    // 48 in above and 18 below: nails at both ends and each foot between, seven places, two each, six posts.
    const longMm = posts[0]?.lengthMm ?? NaN;
    expect(countItems(two, 'nail-3')).toBe(6 * 2 * (Math.ceil(longMm / 305 - 1e-9) + 1));
    const worst = (made: typeof two, id: string) =>
      made.posts
        .flatMap((row) =>
          postChecks(made, row, {
            gustMPerS: 25,
            gustSpread: spreadOf(SHIPPED, 'gust said'),
            exposure: 'normal',
            site: at(128, 44),
          } as CheckSite),
        )
        .find((c) => c.id === id)?.figure?.value ?? NaN;
    // Across, two boards of 1-1/2 by 3-1/2 beside one of 3-1/2 square: 3.5 / 3. Along, each 1-1/2 thick: 3.5³ / (2 x 3.5 x 1.5²).
    const one = house({ posts: 'rails', sidewallMm: inch(48) });
    expect(worst(two, 'post across') / worst(one, 'post across')).toBeCloseTo(3.5 / 3, 2);
    expect(worst(two, 'post along') / worst(one, 'post along')).toBeCloseTo(3.5 ** 2 / (2 * 1.5 ** 2), 2);
  });

  test('a low sidewall has no room for them, and says so at that field', () => {
    // 5-1/2 in of base board, 90 mm of block and 5-1/2 in of rail: 14.54 in.
    expect(refusal({ posts: 'rails', sidewallMm: inch(14.5), doors: 'none' })).toEqual(['sidewall']);
    expect(refusal({ posts: 'rails', sidewallMm: inch(14.6), doors: 'none' })).toEqual([]);
  });
});

describe('posts bolted to the bed', () => {
  const site = siteOf(inch(96), inch(48));
  const a = build('walk-in', site, { posts: 'bolted', pipe: 'pvc-1', sidewallMm: inch(30) });
  const posts = a.members.filter((m) => m.part === 'Post');

  test('they stand on the ground against the wall outside, and hold by two bolts each', () => {
    for (const m of posts) {
      if (m.shape.kind !== 'straight') throw new Error(m.tag);
      expect(m.shape.from[2]).toBeCloseTo(0, 9);
      expect(m.lengthMm / IN).toBeCloseTo(30, 6);
      // 3.5 in square: middle 1.75 outside the bed’s wall, on either side.
      const y = m.shape.from[1] / IN;
      expect(Math.min(Math.abs(y + 1.75), Math.abs(y - 48 - 1.75))).toBeLessThan(1e-6);
    }
    expect(countItems(a, 'wall-bolt')).toBe(2 * posts.length);
    expect(countItems(a, 'post-mix')).toBe(0);
    // 11 in of wall, 45 mm in from both edges.
    expect(a.posts[0]?.bolts).toEqual({ lowMm: 45, apartMm: inch(11) - 90, eachN: 2500 });
    expect(a.dimensions.map((d) => d.id)).not.toContain('postDepth');
  });

  test('the bed says how wide and long it is; the ends stand on its end walls and have no door', () => {
    const typed = a.dimensions.filter((d) => d.typed).map((d) => d.id);
    expect(typed).not.toContain('width');
    expect(typed).not.toContain('coverLength');
    const plates = a.members.filter((m) => m.part === 'Bottom plate');
    expect(plates).toHaveLength(2);
    for (const m of plates) {
      if (m.shape.kind !== 'straight') throw new Error(m.tag);
      expect(m.shape.from[2] / IN).toBeCloseTo(11 + 0.75, 6);
      // 89 mm wide, its outer edge on the outer edge of the wall.
      expect(Math.min(m.shape.from[0] - 44.45, 96 * IN - m.shape.from[0] - 44.45)).toBeGreaterThanOrEqual(-0.01);
    }
    expect(a.members.some((m) => m.part.startsWith('Door'))).toBe(false);
    expect(a.openings.every((o) => o.reachedFrom === 'both sides')).toBe(true);
  });

  test('wind pulls the upper bolt by the lever over the lower one', () => {
    const bolts = (gustMPerS: number) =>
      a.posts
        .flatMap((row) =>
          postChecks(a, row, {
            gustMPerS,
            gustSpread: spreadOf(SHIPPED, 'gust said'),
            exposure: 'normal',
            site,
          } as CheckSite),
        )
        .find((c) => c.id === 'post bolts');
    const check = bolts(25);
    const term = (name: string): number => shown(check?.figure)[name] ?? NaN;
    expect(check?.figure?.value).toBeCloseTo(
      (term('push on one post') * (term('at a height of') - 45)) / (inch(11) - 90),
      6,
    );
    expect(term('push on one post')).toBeGreaterThan(50);
    expect([bolts(5)?.verdict, bolts(60)?.verdict]).toEqual(['holds', 'fails']);
  });

  test('a stone wall, a low one and a sidewall below it are refused', () => {
    const thick = siteOf(inch(96), inch(48));
    const wall = (heightMm: number, thicknessMm: number) => ({
      ...thick,
      bed: { ...thick.bed, wall: { heightMm, thicknessMm } },
    });
    expect(refusal({ posts: 'bolted' }, wall(280, 200))).toEqual(['posts']);
    expect(refusal({ posts: 'bolted' }, wall(140, 38))).toEqual(['posts']);
    expect(refusal({ posts: 'bolted', sidewallMm: inch(12) }, thick)).toEqual(['sidewall']);
  });
});

describe('crops that hang from the ridge', () => {
  const [arch] = house({ hung: 'heavy' }).arches;
  const snow = designSnow({ by: 'depth', depthMm: 300, kind: 'wet' }, 'normal');

  test('take from the snow that the hoops carry two and a half times their weight, spread over the span', () => {
    if (!arch) throw new Error('no hoops');
    const bare = hoopStrength({ ...arch, hungKgPerM: 0 }, snow);
    const hung = hoopStrength(arch, snow);
    // 10 kg/m, hoops 43.585 in apart over 120 in: 2.5 x 10 x 9.80665 x 1.107 / 3.048 = 89.0 N/m.
    const perM = (2.5 * 10 * 9.80665 * arch.spacingMm) / arch.hoop.spanMm;
    expect(perM).toBeCloseTo(89.0, 0);
    const pa = (perM / arch.spacingMm) * 1000;
    expect((bare.ratio - hung.ratio) * snow.flatPa).toBeCloseTo(pa, 6);
    expect(Object.keys(shown(hung.figures[0]))).toContain('of what it bears besides, what hangs, as if it were spread');
    expect(Object.keys(shown(bare.figures[0]))).not.toContain(
      'of what it bears besides, what hangs, as if it were spread',
    );
  });

  test('a beam on posts carries them past the hoops, and breaks the sooner for it', () => {
    const posted = (more: object): number => {
      const row = house({ beam: 'posts', pipe: 'pvc-1', ...more }).arches[0];
      return row ? hoopStrength(row, snow).ratio : NaN;
    };
    expect(posted({ hung: 'heavy' })).toBeLessThanOrEqual(posted({}));
    expect(posted({ hung: 'heavy' })).toBeGreaterThan(0.5 * posted({}));
  });

  test('the share is on the safe side: snow and what hangs, solved together, bear at least that much', () => {
    for (const lengthMm of [1400, 1570, 1800]) {
      const solved = solveHoop({ kind: 'fixed', angleDeg: 90 }, { spanMm: 1000, lengthMm });
      if (!solved.ok) throw new Error('no hoop');
      const used = (k: number): number => k / 4;
      const alone = hoopCollapse(solved.value, true, { shape: () => 1, used })?.load ?? NaN;
      // A quarter of what it bears hangs at the crown, as if spread: the rest is left for the snow.
      const crown = (0.25 * alone) / 2.5;
      const both = hoopCollapse(solved.value, true, { shape: () => 1, size: 0.75 * alone, crown, used });
      expect(both?.load ?? NaN).toBeGreaterThan(1);
    }
  });
});

test('a sleeve over hoop and post is the thinnest pipe on sale that goes over both, with room to slide', () => {
  const a = house({ pipe: 'pvc-1', post: 'steel-3/4', join: 'adapter' });
  const sleeves = a.members.filter((m) => m.part === 'Sleeve');
  expect(sleeves).toHaveLength(2 * (a.arches[0]?.xsMm.length ?? 0));
  const inner = Math.max(
    ...a.members.filter((m) => ['Hoop', 'Post'].includes(m.part)).map((m) => thicknessMm(m.section)),
  );
  const most = inner + fitOf(SHIPPED, 'sleeve').leastMm;
  const goes = [...SHIPPED.bar.values()].filter(
    (s) => s.shape.kind === 'tube' && s.shape.insideMm >= most && s.stock.length > 0,
  );
  const thinnest = Math.min(...goes.map(thicknessMm));
  for (const m of sleeves) {
    expect(thicknessMm(m.section)).toBe(thinnest);
    expect(m.section.shape.kind === 'tube' && m.section.shape.insideMm).toBeGreaterThanOrEqual(most);
  }
});

test('studs of each end are strapped to the hoop there, whether it is of one pipe or of two', () => {
  for (const more of [{}, { roof: 'straight', doors: 'none' }]) {
    const made = house(more);
    const straps = made.joints.find((j) => j.id === 'studs');
    const pipes = made.members.filter((m) => straps?.tags.includes(m.tag) && m.section.shape.kind === 'tube');
    const xs = pipes.map((m) => (m.shape.kind === 'curve' ? m.shape.points[0]?.[0] : m.shape.from[0]));
    const all = made.arches[0]?.xsMm ?? [];
    expect([...new Set(xs)]).toEqual([all[0], all[all.length - 1]]);
  }
});

test('a beam under few hoops stands under the first and the last of them; under more, a bay in', () => {
  const posts = (hoops: number) => {
    const made = house({ beam: 'posts', hoops });
    const xs = made.arches[0]?.xsMm ?? [];
    return made.members
      .filter((m) => m.part === 'Beam post')
      .map((m) => xs.findIndex((x) => m.shape.kind === 'straight' && Math.abs(x - m.shape.from[0]) < 1e-6));
  };
  // Hoops 5 ft 3 apart: a board reaches over one bay of them, not over two.
  expect([3, 4].map(posts)).toEqual([
    [0, 1, 2],
    [1, 2],
  ]);
});
