import type { Assessment } from '../../assessment';
import { quickShop } from '../../cut';
import { demoGarden } from '../../garden/demo';
import type { Cover } from '../../garden/garden';
import { assessCover } from '../../plan';

const garden = demoGarden();
const tunnel = garden.covers.find((c) => c.id === 'salad-tunnel') as Cover;
const drawn = (roll: string | null): Assessment => {
  const made = assessCover(garden, { ...tunnel, answers: { ...tunnel.answers, roll } } as Cover);
  if (!made.ok) throw new Error(JSON.stringify(made.faults));
  return made.value;
};

test('a sheet of strips is joined before it is laid, with its thread bought and its time counted', () => {
  const whole = drawn(null);
  const narrow = drawn('fabric-30 83 in x 50 ft');
  expect(whole.rolls.seams).toEqual([]);
  expect(narrow.rolls.seams.map((s) => [s.tag, s.strips])).toEqual([['S1', 2]]);
  const ids = narrow.assembly.steps.map((s) => s.id);
  const laid = narrow.assembly.steps.findIndex((s) => s.id !== 'seam-S1' && s.tags.includes('S1'));
  expect(ids.indexOf('seam-S1')).toBe(laid - 1);
  expect(ids.filter((id) => id !== 'seam-S1')).toEqual(whole.assembly.steps.map((s) => s.id));
  expect(narrow.hours.value).toBeGreaterThan(whole.hours.value);
  expect(narrow.judged().checks.find((c) => c.id === 'sheet')?.verdict).toBe('tight');
  expect(quickShop(narrow)?.lines.find((l) => l.key === 'thread')?.need).toBeGreaterThan(5);
});
