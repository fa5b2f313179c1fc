import { phraseText } from '../base/figure';
import { HAND_TOOLS, TOOL_KEYS, plainToolName, toolItself, toolName } from './handTools';

const INCHES = { length: 'in', temperature: 'F', currency: 'USD' } as const;
const METRIC = { length: 'mm', temperature: 'C', currency: 'EUR' } as const;

test('bits are named as they are sold: thirty-seconds of an inch, or half millimetres', () => {
  // 3/32 in = 2.38 mm, 1/8 in = 3.18 mm, 1/4 in = 6.35 mm, 3/8 in = 9.53 mm.
  const sizes = (['strap bit', 'screw bit', 'sheet bit', 'blade bit'] as const).map(toolName);
  expect(sizes.map((name) => phraseText(name, INCHES))).toEqual([
    'drill, 3/32" bit',
    'drill, 1/8" bit',
    'drill, 1/4" bit',
    'drill, 3/8" bit',
  ]);
  expect(sizes.map((name) => phraseText(name, METRIC))).toEqual([
    'drill, 2.5 mm bit',
    'drill, 3 mm bit',
    'drill, 6.5 mm bit',
    'drill, 9.5 mm bit',
  ]);
});

test('who has no drill has none of its bits; every other tool is its own', () => {
  for (const key of TOOL_KEYS) expect(toolItself(key)).toBe('bit' in HAND_TOOLS[key] ? 'drill' : key);
  expect([plainToolName('masonry bit'), phraseText(toolName('masonry bit'), METRIC)]).toEqual([
    'drill',
    'drill, masonry bit',
  ]);
});
