import { familyOf } from '../cover/families';
import { quickPrice } from '../cut';
import { demoGarden } from '../garden/demo';
import { optionCosts } from './options';
import { assessCover } from '../plan';

const garden = demoGarden();

test('an option costs what the design with it costs more, and what cannot be built says why', () => {
  // One with every kind of question, and one of another family.
  for (const cover of garden.covers.slice(0, 2)) {
    const o = assessCover(garden, cover);
    if (!o.ok) throw new Error(cover.id);
    const family = familyOf(cover.family);
    const choices = family.questions(cover.answers, o.value).filter((q) => q.kind === 'choice');
    for (const q of choices.filter((_, i) => i % 3 === 0)) {
      const costs = optionCosts(o.value, q.id);
      expect(costs.map((c) => c.value)).toEqual(q.options.map((x) => x.value));
      expect(costs.find((c) => c.value === q.value)?.cost).toBe(0);
      for (const { value, cost, not } of costs) {
        const answers = family.answer(cover.answers, q.id, value, o.value);
        const then = answers.ok ? assessCover(garden, { ...cover, answers: answers.value } as typeof cover) : answers;
        expect(cost === undefined).toBe(not !== undefined);
        if (!then.ok) expect(not).toBe(then.faults[0]?.message);
        if (then.ok && value !== q.value) expect(cost).toBeCloseTo(quickPrice(then.value) - quickPrice(o.value), 6);
      }
    }
  }
});

test('what is not asked has no options', () => {
  const [cover] = garden.covers;
  const o = cover && assessCover(garden, cover);
  if (!o?.ok) throw new Error('not built');
  expect(optionCosts(o.value, 'nothing')).toEqual([]);
  expect(optionCosts(o.value, 'hoops')).toEqual([]);
});
