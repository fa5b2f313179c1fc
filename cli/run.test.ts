import { spawn } from 'node:child_process';
import { FAMILY_KEYS } from '../core/cover/families';
import { mkdtempSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { demoGarden } from '../core/garden/demo';
import { everyKind } from '../core/testing/everyKind';
import type { Garden } from '../core/garden/garden';
import { writeGarden } from '../core/garden/write';
import type { planReport } from '../core/show/report';
import { runCommand } from './run';

type Report = ReturnType<typeof planReport>;

const folder = mkdtempSync(join(tmpdir(), 'cabanon-'));
const file = (name: string, text: string): string => {
  writeFileSync(join(folder, name), text);
  return join(folder, name);
};
const garden = file('garden.json', writeGarden(demoGarden()));

async function answer(...args: string[]): Promise<Record<string, unknown>> {
  const { code, out, err } = await runCommand(args);
  expect(err).toBe('');
  expect(code).toBe(0);
  return JSON.parse(out) as Record<string, unknown>;
}

test('hoop answers in SI for lengths in any unit', async () => {
  const hoop = await answer('hoop', '--span', '44in', '--length', '80in', '--feet', 'loose');
  expect(hoop['heightMm']).toBeCloseTo(28.9673 * 25.4, 1);
  expect(hoop['thrustOverEIPerMm2']).toBeCloseTo(0.00200836 / 25.4 ** 2, 9);
  for (const key of [
    'spanMm',
    'lengthMm',
    'maxWidthMm',
    'footAngleDeg',
    'thrustN',
    'maxCurvaturePerMm',
    'strainPercent',
  ])
    expect(typeof hoop[key]).toBe('number');
  const held = await answer('hoop', '--span', '44', '--height', '558.8 mm', '--feet', '90', '--pipe', 'pvc-3/4');
  expect(held['lengthMm']).toBeCloseTo((Math.PI / 2) * 1117.6, 1);
});

test('collapse answers the load at which a sprung hoop gives way, and how', async () => {
  const asked = ['collapse', '--span', '44in', '--length', '76in'];
  const even = await answer(...asked, '--feet', 'loose', '--load', 'even');
  expect(Number(even['wSpan3OverEI']) / 40.06).toBeCloseTo(1, 2);
  expect(even['mode']).toBe('sway');
  expect(Number(even['crownAtCollapse'])).toBeLessThan(Number(even['crownBefore']));
  const pipe = [...asked, '--pipe', 'pvc-3/4'];
  const [kinks, held] = [await answer(...pipe), await answer(...pipe, '--ridge-spring', '0.5')];
  expect(kinks['mode']).toBe('kink');
  expect(Number(held['wNPerMm'])).toBeGreaterThan(Number(kinks['wNPerMm']));
  for (const [wrong, said] of [
    [['--load', 'hail'], /^--load: must be uniform, even, one-sided, not "hail"/],
    [['--ridge-spring', '5'], /^--pipe: say which/],
    [['--ridge-spring', 'x'], /^--ridge-spring: must be N\/mm/],
    [['--feet', 'x'], /^--feet: must be/],
    [['--pipe', 'x'], /^--pipe: there is no pipe/],
  ] as const) {
    const { code, err } = await runCommand([...asked, ...wrong]);
    expect(code).toBe(2);
    expect(err).toMatch(said);
  }
});

test('frame answers any plane frame, or says which field is wrong', async () => {
  const job = {
    nodes: { a: [0, 0], b: [1000, 0] },
    members: { m: { from: 'a', to: 'b', E: 1000, A: 1e4, I: 1e4 } },
    supports: { a: { x: true, y: true, turn: true } },
    loads: [{ node: 'b', y: -1 }],
  };
  const { at } = (await answer('frame', file('frame.json', JSON.stringify(job)))) as {
    at: { nodes: { b: { y: number } } }[];
  };
  // P L³ / 3 EI = 1e9 / 3e7.
  expect(at[0]?.nodes.b.y).toBeCloseTo(-100 / 3, 6);
  const { code, err } = await runCommand(['frame', file('loose.json', JSON.stringify({ ...job, supports: {} }))]);
  expect([code, err.split(':')[0]]).toEqual([2, 'supports']);
});

test('cut answers a case file at its proven best', async () => {
  const cases = JSON.parse(readFileSync('core/make/cutting/cutting.cases.json', 'utf8')) as {
    cases: { optimum: number }[];
  };
  const cut = await answer('cut', file('cut.json', JSON.stringify(cases.cases[3])));
  expect(cut).toMatchObject({ cost: cases.cases[3]?.optimum, proven: true });
  expect(cut['bars']).toContainEqual(expect.objectContaining({ stockLength: 44.5, price: 0 }));
});

test('cut --sheets answers a job in two dimensions, or says which piece fits nothing', async () => {
  const job = {
    kerf: 3,
    sheets: [
      { width: 1220, length: 2440, price: 46 },
      { width: 610, length: 1220, price: 0, available: 1 },
    ],
    pieces: [
      { width: 600, length: 1200, quantity: 3 },
      { width: 300, length: 900, quantity: 2, turns: false },
    ],
  };
  const cut = await answer('cut', file('sheets.json', JSON.stringify(job)), '--sheets');
  const sheets = cut['sheets'] as { pieces: unknown[] }[];
  expect(sheets.flatMap((s) => s.pieces)).toHaveLength(5);
  expect(cut['cost']).toBe(46);
  const wrong = { ...job, pieces: [{ width: 4000, length: 10, quantity: 1 }] };
  const { code, err } = await runCommand(['cut', file('wide.json', JSON.stringify(wrong)), '--sheets']);
  expect([code, err]).toEqual([2, 'pieces[0]: no sheet holds 4000 by 10\n']);
});

test('plan gives every kind of cover: pieces, sheets, hardware, cuts and steps', async () => {
  const all = everyKind();
  const covers = all.covers.filter((c) => c.bedId === 'long');
  const { plans } = (await answer('plan', file('every.json', writeGarden({ ...all, covers })))) as unknown as {
    plans: Report[];
  };
  expect(new Set(plans.map((p) => p.cover.family)).size).toBe(FAMILY_KEYS.length);
  for (const p of plans) {
    const { members, panels, hardware } = p.assembly;
    expect(members.length + panels.length + p.sheets.length).toBeGreaterThan(2);
    expect(hardware.length).toBeGreaterThan(1);
    expect(p.steps.length).toBeGreaterThan(2);
    expect(p.shopping.paid).toBeGreaterThan(0);
    // Pieces placed are pieces listed; a tapered one may come out of the board of another.
    const cut = p.cuts.flatMap((c) => c.bars.flatMap((b) => b.pieces.map((x) => x.tag))).sort();
    expect(cut).toEqual(
      members
        .filter((m) => m.sawnFrom === undefined)
        .map((m) => m.tag)
        .sort(),
    );
    const sawn = p.sheetCuts.flatMap((s) => s.placed.map((x) => x.tag)).sort();
    expect(sawn).toEqual(
      panels
        .filter((x) => x.sheetKey !== 'old-window')
        .map((x) => x.tag)
        .sort(),
    );
  }
});

test('plan gives one cover or all, and writes its files', async () => {
  const out = join(folder, 'out');
  const one = await answer('plan', garden, '--cover', 'winter-lid', '--out', out);
  expect((one['plans'] as unknown[]).length).toBe(1);
  expect(readdirSync(out).sort()).toEqual(
    [
      'booklet.pdf',
      'cut-book.pdf',
      'cuts.csv',
      'drawing.dxf',
      'end.svg',
      'plan.json',
      'plan.svg',
      'round.gltf',
      'season.ics',
      'shopping.csv',
      'side.svg',
      'tags.pdf',
    ]
      .map((f) => `winter-lid-${f}`)
      .sort(),
  );
  expect(((await answer('plan', garden))['plans'] as unknown[]).length).toBe(demoGarden().covers.length);
});

test('a cover that cannot be built stops no other: it is told by name, and the call ends with 2', async () => {
  const made = demoGarden();
  const covers = made.covers.map((c) =>
    c.id === 'salad-tunnel' ? { ...c, answers: { ...c.answers, rodShownMm: 900, rodLengthMm: 600 } } : c,
  );
  const path = file('one-wrong.json', writeGarden({ ...made, covers }));
  const { code, out, err } = await runCommand(['plan', path]);
  expect(code).toBe(2);
  expect(err).toMatch(/^salad-tunnel\.rodShown: A rod cannot show more/);
  const { plans } = JSON.parse(out) as { plans: Report[] };
  expect(plans.map((p) => p.cover.id)).toEqual(covers.map((c) => c.id).filter((id) => id !== 'salad-tunnel'));
  // Alone there is nothing to print.
  expect(await runCommand(['plan', path, '--cover', 'salad-tunnel'])).toMatchObject({ code: 2, out: '' });
});

test('a byte-order mark is read over, and no file that is written overwrites another', async () => {
  const made = demoGarden();
  const [lid] = made.covers.filter((c) => c.id === 'winter-lid');
  if (!lid) throw new Error('the demo has a lid');
  const covers = ['a/b', 'a b', 'Lid', 'lid', '..'].map((id) => ({ ...lid, id }));
  const out = join(folder, 'named');
  await answer('plan', file('marked.json', `\uFEFF${writeGarden({ ...made, covers })}`), '--out', out);
  const plans = readdirSync(out).filter((f) => f.endsWith('-plan.json'));
  expect(plans.sort()).toEqual(['Lid', 'a~20b', 'a~2fb', 'lid-2', '~2e~2e'].map((n) => `${n}-plan.json`));
});

test('a pipe that is closed early is no fault', async () => {
  const child = spawn(process.execPath, ['--import', 'tsx', 'cli/main.ts', 'plan', garden], { stdio: 'pipe' });
  let said = '';
  child.stderr.on('data', (chunk: Buffer) => void (said += chunk.toString()));
  child.stdout.once('data', () => child.stdout.destroy());
  expect(await new Promise((done) => child.once('exit', done))).toBe(0);
  expect(said).toBe('');
});

test('a job of any size that is let in ends, and one beyond is refused by name', async () => {
  const pieces = (n: number, quantity: number) =>
    Array.from({ length: n }, (_, i) => ({ length: 111 + i * 1.7, quantity }));
  const stock = [
    { length: 2400, price: 5 },
    { length: 3600, price: 7.2 },
  ];
  const many = await answer('cut', file('many.json', JSON.stringify({ kerf: 3, stock, pieces: pieces(10, 100_000) })));
  expect(many['bound'] as number).toBeGreaterThan(0.99 * (many['cost'] as number));
  const kinds = await answer('cut', file('kinds.json', JSON.stringify({ kerf: 3, stock, pieces: pieces(1900, 2) })));
  expect(kinds['bound'] as number).toBeGreaterThan(0.98 * (kinds['cost'] as number));
  const refused = async (job: unknown, ...more: string[]) =>
    (await runCommand(['cut', file('job.json', JSON.stringify(job).replaceAll('"huge"', '1e999')), ...more])).err;
  expect(await refused({ kerf: 0, stock, pieces: pieces(2000, 100_000) })).toBe(
    'pieces: 200000000 in all; at most 1000000 are cut at once\n',
  );
  expect(await refused({ kerf: 'huge', stock, pieces: [] })).toMatch(/^kerf: /);
  expect(await refused({ kerf: 0, stock: [{ length: 1e308, price: 1 }], pieces: [] })).toBe(
    'stock[0].length: must be at most 10000000\n',
  );
  expect(await refused({ kerf: 0, stock: [{ length: 0, price: 1 }], pieces: [] })).toBe(
    'stock[0].length: must be more than 0\n',
  );
  expect(await refused({ kerf: 0, stock: [{ length: 9, price: 1, available: 0 }], pieces: pieces(1, 1) })).toBe(
    'stock: must have a bar to cut from: none is available\n',
  );
  const sheets = { kerf: 0, sheets: [{ width: 9, length: 9, price: 1 }] };
  expect(
    await refused(
      {
        ...sheets,
        pieces: [
          { width: 1, length: 1, quantity: 2000 },
          { width: 2, length: 1, quantity: 2000 },
          { width: 1, length: 2, quantity: 1001 },
        ],
      },
      '--sheets',
    ),
  ).toBe('pieces: 5001 in all; at most 5000 are laid out at once\n');
});

test.each([
  [['plan', '/nowhere.json'], 'FILE: cannot read'],
  [['plan'], 'FILE: say which file'],
  [['plan', garden, '--cover', 'gone'], '--cover: no cover "gone"; there are winter-lid'],
  [['plan', garden, '--wat'], 'options: --wat is no option of plan; there are --cover, --out\n'],
  [['plan', garden, '--cover'], 'options: --cover wants a value; there are --cover, --out\n'],
  [['plan', garden, '--sheets'], 'options: --sheets is no option of plan'],
  [['plan', garden, garden], 'FILE: say one file, not 2'],
  [['hoop', '--span', '44'], '--hoop: Give two'],
  [['hoop', '--span', 'wide', '--length', '80'], '--span: “wide” is not a length'],
  [['hoop', '--span', '44', '--length', '40'], '--length: The pipe must be longer'],
  [['hoop', '--span', '44', '--length', '80', '--feet', 'glued'], '--feet: must be loose or an angle'],
  [['hoop', '--span', '44', '--length', '80', '--pipe', 'gold'], '--pipe: there is no pipe "gold"'],
  [['cut', file('bad.json', '{"kerf": 0, "stock": [{"length": 96, "price": "x"}], "pieces": []}')], 'stock[0].price: '],
  [['cut', file('noise.json', 'noise')], 'FILE: not JSON'],
  [['fly'], 'command: must be plan, hoop, cut, frame, collapse'],
  [
    ['collapse', '--span', '44in', '--length', '76in', '--load', 'constructor'],
    '--load: must be uniform, even, one-sided',
  ],
  [['collapse', '--span', '44in', '--length', '76in', '--load', '__proto__'], '--load: must be uniform'],
  [['cut', 'x.json', '--seconds', '0'], '--seconds: must be seconds'],
])('a bad call is one line a fault and 2: %j', async (args, start) => {
  const { code, out, err } = await runCommand(args);
  expect(code).toBe(2);
  expect(out).toBe('');
  expect(err.startsWith(start)).toBe(true);
});

test('design answers a brief with designs and what its wishes cost, or names what is wrong with it', async () => {
  const file = join(mkdtempSync(join(tmpdir(), 'cabanon-')), 'brief.json');
  const bed = { lengthMm: 2400, widthMm: 1200, wallHeightMm: 300, wallThicknessMm: 40 };
  const ask = async (brief: object, ...more: string[]) => {
    writeFileSync(file, JSON.stringify({ format: 'cabanon-brief', version: 1, bed, brief }));
    return runCommand(['design', file, ...more]);
  };
  const good = await ask({ crops: ['spinach'], kinds: ['a-frame'], wetSnowMm: 120 }, '--seed', '3');
  expect(good.err).toBe('');
  const answer = JSON.parse(good.out) as {
    designs: { kind: string; priceIs: string; price: number; tight: readonly string[] }[];
    wishes: { id: string; how: string }[];
    seed: number;
  };
  expect(answer.seed).toBe(3);
  expect(answer.designs[0]).toMatchObject({ kind: 'a-frame', priceIs: 'proven' });
  // What holds outright first, then what is tight somewhere; each the cheapest first.
  for (const outright of [true, false]) {
    const prices = answer.designs.filter((d) => (d.tight.length === 0) === outright).map((d) => d.price);
    expect(prices).toEqual([...prices].sort((a, b) => a - b));
  }
  expect(answer.wishes.some((w) => w.id === 'snow' && w.how === 'more')).toBe(true);
  expect(await ask({ crops: ['weeds'] })).toMatchObject({ code: 2, out: '' });
  expect((await ask({}, '--seed', 'x')).err).toContain('--seed: must be a number from 0 to 4294967295');
}, 60_000);

test('set gives the garden with one dimension or answer another, or names what can be set', async () => {
  const set = async (...how: string[]): Promise<string> => (await runCommand(['set', garden, ...how])).out;
  const changed = file('changed.json', await set('--cover', 'winter-lid', '--dimension', 'height', '--to', '22 in'));
  const { plans } = (await answer('plan', changed, '--cover', 'winter-lid')) as { plans: Report[] };
  // 22 in of 25.4 mm.
  expect(plans[0]?.assembly.hoop?.heightMm).toBeCloseTo(558.8, 0);
  const hoops = JSON.parse(await set('--cover', 'winter-lid', '--answer', 'hoops', '--to', '6')) as Garden;
  expect(hoops.covers.find((c) => c.id === 'winter-lid')?.answers).toMatchObject({ hoops: 6 });
  const wrong = async (...how: string[]): Promise<string> => {
    const { code, out, err } = await runCommand(['set', garden, ...how]);
    expect([code, out]).toEqual([2, '']);
    return err.slice(0, err.indexOf(':'));
  };
  expect(await wrong('--dimension', 'height', '--to', '22 in')).toBe('--cover');
  expect(await wrong('--cover', 'nobody', '--dimension', 'height', '--to', '22 in')).toBe('--cover');
  const lid = ['--cover', 'winter-lid'] as const;
  expect(await wrong(...lid, '--to', '22 in')).toBe('--dimension');
  expect(await wrong(...lid, '--dimension', 'girth', '--to', '22 in')).toBe('--dimension');
  expect(await wrong(...lid, '--dimension', 'height', '--to', 'high')).toBe('--to');
  expect(await wrong(...lid, '--answer', 'hoops', '--to', '2.5')).toBe('--to');
  expect(await wrong(...lid, '--answer', 'pipe', '--to', 'gold')).toBe('--to');
  expect(await wrong(...lid, '--answer', 'weather', '--to', 'fine')).toBe('--answer');
  expect(await wrong(...lid, '--answer', 'hoops')).toBe('--to');
});
