/** Every example of a docstring in core is run, and gives what it says. */
import { readFileSync, readdirSync } from 'node:fs';
import * as amount from '../core/base/amount';
import * as figure from '../core/base/figure';
import * as formula from '../core/base/formula';
import * as ids from '../core/base/ids';
import * as length from '../core/base/length';
import * as remember from '../core/base/memoize';
import * as asked from '../core/cover/answers/parameter';
import * as market from '../core/catalog/market';
import * as families from '../core/cover/families';
import * as elastica from '../core/cover/hoop/elastica';
import * as compare from '../core/explore/compare';
import * as evaluate from '../core/evaluate';
import * as backup from '../core/garden/backup';
import * as buildSite from '../core/garden/buildSite';
import * as demo from '../core/garden/demo';
import * as garden from '../core/garden/garden';
import * as merge from '../core/garden/merge';
import * as read from '../core/garden/read';
import * as salvage from '../core/garden/salvage';
import * as noon from '../core/judge/climate/noon';
import * as judgedFor from '../core/judge/strength/designConditions';
import * as snow from '../core/judge/strength/snow';
import * as wind from '../core/judge/strength/windLoads';
import * as coordinate from '../core/site/coordinate';
import * as change from '../core/commands/change';
import * as design from '../core/commands/design';
import * as difference from '../core/garden/difference';
import * as moved from '../core/commands/moved';
import * as parcel from '../core/commands/parcel';
import * as plan from '../core/plan';
import * as days from '../core/base/days';
import * as walls from '../core/catalog/walls';
import * as airing from '../core/judge/climate/airing';
import * as sky from '../core/judge/climate/sky';
import * as daylight from '../core/judge/season/daylight';
import * as frost from '../core/judge/season/frost';
import * as normals from '../core/judge/weather/normals';
import * as simulated from '../core/judge/weather/simulated';
import * as clock from '../core/site/clock';
import * as compass from '../core/site/compass';
import * as locale from '../core/site/locale';
import * as survey from '../core/site/survey';

const known: Readonly<Record<string, unknown>> = {
  ...amount,
  ...figure,
  ...formula,
  ...ids,
  ...days,
  ...walls,
  ...airing,
  ...sky,
  ...daylight,
  ...frost,
  ...normals,
  ...simulated,
  ...clock,
  ...compass,
  ...coordinate,
  ...length,
  ...locale,
  ...market,
  ...remember,
  ...asked,
  ...families,
  ...elastica,
  ...compare,
  ...evaluate,
  ...backup,
  ...buildSite,
  ...demo,
  ...change,
  ...design,
  ...difference,
  ...garden,
  ...merge,
  ...read,
  ...salvage,
  ...noon,
  ...judgedFor,
  ...snow,
  ...wind,
  ...moved,
  ...parcel,
  ...plan,
  ...survey,
};

const examples = readdirSync('core', { recursive: true, encoding: 'utf8' })
  .filter((f) => f.endsWith('.ts') && !f.endsWith('.test.ts'))
  .flatMap((f) =>
    [...readFileSync(`core/${f}`, 'utf8').matchAll(/@example (.+) \/\/ (.+?)(?: \*\/)?$/gm)].map(
      ([, code = '', says = '']) => [f, code, says] as const,
    ),
  );

test('there are examples where a newcomer looks first', () => expect(examples.length).toBeGreaterThan(12));

test.each(examples)('%s: %s', (_, code, says) => {
  // The example is a line of source of this repository, run as it stands.
  const run = new Function(...Object.keys(known), `return ${code};`) as (...values: unknown[]) => unknown;
  const is = run(...Object.values(known));
  const want: unknown = JSON.parse(says);
  if (typeof want === 'number')
    expect(Number((is as number).toPrecision(String(want).replace('.', '').length))).toBe(want);
  else expect(is).toEqual(want);
});
