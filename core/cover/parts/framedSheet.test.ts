import { at, build, inch } from '../../testing/site';

test('flaps hang across both ends of the frame from as high as the cover is, and come down by that', () => {
  // A wall 11 in high; triangles 37 in high over 44 in, the film a little wider on their rails.
  const made = build('a-frame', at(128, 44));
  const across = (xIn: number) =>
    [0, 44].map((yIn) => [inch(xIn), expect.closeTo(inch(yIn), 6), expect.closeTo(inch(11 + 37), 6)]);
  const flaps = made.openings.filter((o) => o.by === 'flap');
  expect(flaps.map((o) => o.line)).toEqual([across(0), across(128)]);
  expect(flaps.map((o) => o.travel)).toEqual([{ mm: inch(37) }, { mm: inch(37) }]);
  expect(flaps.map((o) => o.tags)).toEqual([['S2'], ['S3']]);
});

test('staples that hold by themselves alone say so, those under a batten or in a channel do not', () => {
  const alone = (fixing: string) =>
    build('a-frame', at(128, 44), { fixing }).joints.find((j) => j.id === 'staples')?.alone;
  expect(['battens', 'channel', 'staples'].map(alone)).toEqual([undefined, undefined, 'fixing']);
});
