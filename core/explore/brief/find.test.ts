/** What of a brief a search is given. */
import { FAMILY_KEYS } from '../../cover/families';
import { demoGarden } from '../../garden/demo';
import { NOTHING_SAID } from '../../site/brief';
import { briefContext } from './find';

const kinds = (more: object): readonly string[] =>
  briefContext(demoGarden(), 'long', { ...NOTHING_SAID, ...more }).kinds;

test('every kind is looked into, or those that are asked for; none that is not wanted', () => {
  expect(kinds({})).toEqual(FAMILY_KEYS);
  expect(kinds({ kinds: ['a-frame', 'walk-in'] })).toEqual(['a-frame', 'walk-in']);
  expect(kinds({ kinds: ['a-frame', 'walk-in'], notKinds: ['walk-in'] })).toEqual(['a-frame']);
  expect(kinds({ notKinds: ['walk-in'] })).toEqual(FAMILY_KEYS.filter((k) => k !== 'walk-in'));
});
