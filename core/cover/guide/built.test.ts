import { coverMaterial, SHIPPED } from '../../catalog/catalog';
import { at, build } from '../../testing/site';
import type { Joint, Piece, SheetPart } from '../assembly/types';
import { built, piecesOf } from './built';
import { stage } from './stage';

// Low enough that both tapered sides come out of one board.
const frame = build('sloped-cold-frame', at(128, 44), { frontMm: 4 * 25.4, backMm: 7 * 25.4 });
const bales = build('straw-bale', at(128, 44));
const member = (tag: string): Piece => {
  const found = frame.members.find((m) => m.tag === tag);
  if (!found) throw new Error(`no ${tag}`);
  return found;
};
const sheet = (tag: string, cover: string): SheetPart => ({
  tag,
  part: 'Sheet',
  cover: coverMaterial(SHIPPED, cover),
  rollKey: null,
  across: [],
  along: [],
  faces: [],
});
const joint = (id: string): Joint => ({ id, kind: 'strap', where: id, tags: [], places: [] });
const of = (id: string, pieces: readonly Piece[], ...joints: readonly Joint[]) =>
  stage({ id, title: id, view: 'end', pieces, joints, work: [], minutes: 1 });

test('a cover is what its stages bring in: each piece once where it first comes to hand, whatever it is', () => {
  const [panel, block] = [frame.panels[0], bales.blocks[0]];
  if (!panel || !block) throw new Error('a pane and a bale');
  const made = built([
    of('box', [member('A1'), block], joint('screws')),
    of('lid', [member('B1'), panel, member('A1')], joint('hinges')),
    of('cover', [sheet('S1', 'film-uv'), member('B1')], joint('clips')),
  ]);
  expect(made.members.map((m) => m.tag)).toEqual(['A1', 'B1']);
  expect([made.panels, made.blocks, made.sheets.map((s) => s.tag)]).toEqual([[panel], [block], ['S1']]);
  expect(made.joints.map((j) => j.id)).toEqual(['screws', 'hinges', 'clips']);
  // A step names all that is in play, and the joints that it makes.
  expect(made.steps.map((s) => [s.id, s.tags, s.joints])).toEqual([
    ['box', ['A1', block.tag], ['screws']],
    ['lid', ['B1', panel.tag, 'A1'], ['hinges']],
    ['cover', ['S1', 'B1'], ['clips']],
  ]);
});

test('all that is sawn is cut where the order says so, but not what comes out of the board of another', () => {
  // D1 is what is left of C1.
  const made = built([of('first', []), 'cut', of('box', [member('C1'), member('D1'), member('A1')])]);
  expect(made.steps.map((s) => s.id)).toEqual(['first', 'cut', 'box']);
  expect(made.steps[1]?.tags).toEqual(['C1', 'A1']);
  expect(made.members).toHaveLength(3);
});

test('a joint that no work makes is there all the same, and one that is said twice stands once', () => {
  const [bare, feet] = [joint('bare edge'), joint('feet')];
  const made = built([of('hoops', [], feet)], [bare, feet]);
  expect(made.joints).toEqual([feet, bare]);
  expect(made.steps[0]?.joints).toEqual(['feet']);
});

test('mesh is laid first, but what covers it stands first among the sheets', () => {
  const stages = [of('set', [sheet('M1', 'mesh')]), of('cover', [sheet('S1', 'film-uv'), sheet('S2', 'film-uv')])];
  expect(built(stages).sheets.map((s) => s.tag)).toEqual(['S1', 'S2', 'M1']);
  expect(piecesOf(stages).map((p) => p.tag)).toEqual(['M1', 'S1', 'S2']);
});
