import { phraseText } from '../../base/figure';
import { at, build } from '../../testing/site';
import type { Joint, Member } from '../assembly/types';
import { CAUTIONS } from '../joints/cautions';
import {
  type Saying,
  MINUTES,
  bendStage,
  countKind,
  cutStage,
  guardStages,
  namedPieces,
  postWork,
  ridgeStage,
  saidStep,
  sayCount,
  sayCounts,
  stage,
  tagList,
} from './stage';

const UNITS = { length: 'mm', temperature: 'C', currency: 'USD' } as const;
const lid = build('hinged-hoop-lid', at(128, 44));
const tunnel = build('staked-tunnel', at(128, 44));
const part = (of: typeof lid, name: string): readonly Member[] => of.members.filter((m) => m.part === name);
const said = (s: { readonly work: readonly (readonly unknown[])[] }): string =>
  s.work.map((line) => phraseText(line as Parameters<typeof phraseText>[0], UNITS)).join(' ');

const joint = (id: string, kind: Joint['kind'], count: number): Joint =>
  ({ id, kind, where: '', tags: [], places: [], count }) as unknown as Joint;
const joints = [joint('hinges', 'hinge', 2), joint('stays 1', 'stay', 1), joint('stays 2', 'stay', 1)];

test('a step says nothing where nothing is said, and names the joints made in it', () => {
  const pieces = part(lid, 'Hoop');
  expect(saidStep(stage({ id: 'x', title: 'X', view: 'end', pieces, work: [], minutes: 5, joints }))).toEqual({
    id: 'x',
    title: 'X',
    view: 'end',
    tags: ['H1', 'H2', 'H3', 'H4', 'H5'],
    work: [],
    minutes: 5,
    tools: [],
    checks: [],
    cautions: [],
    joints: ['hinges', 'stays 1', 'stays 2'],
  });
});

test('joints are counted by kind and found by name, with all that begin with it', () => {
  expect([countKind(joints, 'hinge'), countKind(joints, 'stay'), countKind(joints, 'latch')]).toEqual([2, 2, 0]);
  expect(namedPieces(joints, 'stays').map((j) => j.id)).toEqual(['stays 1', 'stays 2']);
  expect(namedPieces(joints, 'stay')).toEqual([]);
  expect(namedPieces(joints, 'hinges', 'stays 2').map((j) => j.id)).toEqual(['hinges', 'stays 2']);
  // Without a count it is as many as there are places.
  expect(
    countKind([{ ...joint('x', 'hinge', 0), count: undefined, places: [[0, 0, 0]] } as unknown as Joint], 'hinge'),
  ).toBe(1);
});

test('counts are said as a person says them', () => {
  expect([sayCount(0, 'stay'), sayCount(1, 'stay'), sayCount(2, 'stay')]).toEqual(['no stays', '1 stay', '2 stays']);
  expect(sayCounts(joints, 'hinge', 'latch', 'stay')).toBe('2 hinges and 2 stays');
  expect(sayCounts([...joints, joint('h', 'handle', 1)], 'hinge', 'handle', 'stay')).toBe(
    '2 hinges, 1 handle and 2 stays',
  );
  expect([sayCounts(joints, 'hinge'), sayCounts(joints, 'latch')]).toEqual(['2 hinges', '']);
});

test('cutting: ten minutes to begin, six a board, two a pipe; its cautions are those of what is cut', () => {
  const boards = part(lid, 'Front rail');
  const pipes = part(lid, 'Hoop');
  const all = cutStage([...boards, ...pipes]);
  expect(all.minutes).toBe(MINUTES.start + 1 * 6 + 5 * 2);
  expect(all.cautions).toEqual([CAUTIONS.pvcDust, CAUTIONS.longPipe]);
  expect(phraseText(all.checks[0] ?? [], UNITS)).toBe('6 pieces, every one with its tag');
  expect(said(all)).toContain('Square one end of each board');
  const piped = cutStage(pipes);
  expect(said(piped)).not.toContain('Square');
  expect([piped.minutes, piped.tools[0]]).toEqual([20, pipes[0]?.section.toolKey]);
  const treated = build('lift-off-cover', at(128, 44)).members.filter((m) => m.section.materialKey === 'treated');
  expect(cutStage(treated).cautions).toEqual([CAUTIONS.treated]);
  expect(cutStage(boards).cautions).toEqual([]);
  // Each tool is fetched once.
  expect(new Set(all.tools).size).toBe(all.tools.length);
});

test('bending goes from the first hoop to the last, ten minutes each', () => {
  const hoops = part(lid, 'Hoop');
  const bend = bendStage(hoops, 800, [['Strap the feet.']], joints, part(lid, 'Front rail'));
  expect(said(bend)).toBe('Strap the feet. Go from H1 to H5, one 1/2 PVC at a time.');
  expect(phraseText(bend.checks[0] ?? [], UNITS)).toBe('Hoops stand 800 mm apart at the crown as at the feet');
  expect([bend.minutes, bend.cautions]).toEqual([50, [CAUTIONS.bend]]);
  expect(bend.pieces.map((p) => p.tag)).toEqual(['H1', 'H2', 'H3', 'H4', 'H5', 'A1']);
});

test('a ridge of rope is tied and its tails made fast; one of wood is marked, fixed at the ends first, and capped', () => {
  const roped = ridgeStage([], joints, 'staked');
  expect(roped).toMatchObject({ title: 'Tie the ridge rope', minutes: 10, tools: [] });
  expect(said(roped)).toContain('stake its tails');
  expect(said(ridgeStage([], joints, 'framed'))).toContain('round the feet of the end hoops');
  const ridge = part(tunnel, 'Ridge pipe');
  const fixed = ridgeStage(ridge, [joint('caps', 'cap', 2)], 'staked');
  expect(fixed).toMatchObject({ title: 'Fix the ridge', minutes: 14, tools: ['level'] });
  expect(said(fixed)).toMatch(/^Mark R1 from the tape end/);
  expect(said(fixed)).toContain('Cap both ends');
  expect(said(ridgeStage(ridge, joints, 'staked'))).not.toContain('Cap');
});

test('posts are dug in to their mark, or stood on the frame', () => {
  const text = (line: Saying): string => (typeof line === 'string' ? line : phraseText(line, UNITS));
  const posted = build('mesh-arch', at(128, 44), { ridge: 'posted' });
  const posts = posted.members.filter((m) => m.part === 'Ridge post');
  expect(posts).toHaveLength(2);
  const dug = postWork(posts).map(text);
  // 18 in.
  expect(dug).toEqual([
    'Dig P1, P2 in, plumb, until the mark meets the soil: 457 mm deep.',
    'Plate the ridge on the posts.',
  ]);
  const stood = postWork(posts.map((m) => ({ ...m, marks: [] }))).map(text);
  expect(stood[0]).toBe('Stand P1, P2 on the end boards, plumb, and plate them there.');
  expect(postWork([])).toEqual([]);
});

test('pipe is painted in a band as wide as it is, or taped; bare it is no work', () => {
  const hoops = part(lid, 'Hoop');
  const guard = (how: string): readonly Joint[] => [{ ...joint('guard', 'cap', 1), with: { how } } as Joint];
  const [paint] = guardStages(hoops, guard('paint'));
  expect(paint).toMatchObject({ id: 'paint', tools: ['brush'], minutes: 20, joints: guard('paint') });
  // .84 in.
  expect(paint && said(paint)).toContain('(21 mm)');
  const [tape] = guardStages(hoops, guard('tape'));
  expect(tape).toMatchObject({ tools: ['knife'], minutes: 5 + 3 * 5 });
  expect([guardStages(hoops, guard('bare')), guardStages(hoops, [])]).toEqual([[], []]);
});

test('tags are said in runs', () => {
  expect(tagList(part(lid, 'Hoop'))).toBe('H1 to H5');
  expect(tagList(part(lid, 'Front rail'))).toBe('A1');
});
