import { phraseText } from '../base/figure';
import { evaluate } from '../evaluate';
import { demoGarden } from '../garden/demo';
import { stepContent } from './stepContent';

const garden = demoGarden();
const outlineOf = (id: string) => {
  const o = evaluate(garden, garden.covers.find((c) => c.id === id) ?? (garden.covers[0] as never));
  if (!o.ok) throw new Error(id);
  return o.value;
};

test('a step hands out each thing once with its count, and what comes from a coil by its length', () => {
  const o = outlineOf('winter-lid');
  const [step] = o.assembly.steps;
  if (!step) throw new Error();
  const takes = [
    { itemKey: 'hinge', count: 2, joint: 'one side' },
    { itemKey: 'hinge', count: 2, joint: 'other side' },
    { itemKey: 'rope', count: 3, joint: 'over all' },
  ];
  const { lines } = stepContent(o, { ...step, takes });
  const line = lines.find((l) => l.kind === 'takes');
  // 3 m are 9.84 ft: ten feet to the next whole one.
  expect(line && phraseText(line.text, garden.units)).toBe(
    'Have at hand: 4 × butt hinge 3 in with screws, 10 ft of UV rope.',
  );
});

test('all that a step says stands in the order of reading: cautions first, checks last', () => {
  const order = ['caution', 'work', 'takes', 'tools', 'check'];
  for (const cover of garden.covers) {
    const o = outlineOf(cover.id);
    for (const step of o.assembly.steps) {
      const { lines, minutes } = stepContent(o, step);
      const kinds = lines.map((l) => order.indexOf(l.kind));
      expect(kinds).toEqual([...kinds].sort((a, b) => a - b));
      expect(lines.filter((l) => l.kind === 'work')).toHaveLength(step.work.length);
      expect(lines.filter((l) => l.kind === 'check')).toHaveLength(step.checks.length);
      expect(minutes % 5).toBe(0);
    }
  }
});

test('of pieces that are marked alike the first is shown, and none where the cuts are drawn', () => {
  const o = outlineOf('winter-lid');
  const marked = o.assembly.steps.map((step) => stepContent(o, step).marked.map((m) => m.tag));
  // Both long rails carry marks of their own: the hinge rail is shorter by the two end boards.
  expect(marked[0]).toEqual([]);
  expect(marked[1]).toEqual(['A1', 'A2']);
});
