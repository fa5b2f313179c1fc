/** npm run hurt [-- --seed 7 --minutes 10 --kills 60]: everything that a file, an answer, a browser or a build may do, and what failed of it. */
import highsLoader from 'highs';
import { parseArgs } from 'node:util';
import { highsSolver } from '../../core/make/cutting/highs';
import { tryAnswers } from './answers';
import { tryBriefs } from './brief';
import { tryBrowser } from './browser';
import { tryFiles } from './files';
import { HEAD, type Tally, faultsOf, row } from './trial';

const { values } = parseArgs({
  options: {
    seed: { type: 'string', default: '7' },
    minutes: { type: 'string', default: '10' },
    kills: { type: 'string', default: '60' },
    only: { type: 'string' },
  },
});
const seed = Number(values.seed);
const ends = performance.now() + Number(values.minutes) * 60_000;
const solver = highsSolver(await highsLoader());

/** The same trial with one seed after another until its share of the time is over. */
function untilTime(share: number, once: (seed: number) => Tally): Tally {
  const until = performance.now() + share * Math.max(0, ends - performance.now());
  const all = once(seed);
  for (let n = 1; performance.now() < until; n++) {
    const more = once(seed + n * 1000);
    all.tried += more.tried;
    all.through += more.through;
    all.worstMs = Math.max(all.worstMs, more.worstMs);
    for (const kind of ['failed', 'slow'] as const)
      for (const [what, { count, example }] of more[kind]) {
        const known = all[kind].get(what);
        all[kind].set(what, { count: count + (known?.count ?? 0), example: known?.example ?? example });
      }
  }
  return all;
}

const wanted = (name: string): boolean => values.only === undefined || values.only === name;
const tallies: Tally[] = [
  ...(wanted('browser') ? await tryBrowser(seed, Number(values.kills)) : []),
  // A quarter of an hour by itself: only where it is asked for.
  ...(values.only === 'brief' ? [tryBriefs(seed, 500)] : []),
  ...(wanted('files') ? [untilTime(0.4, (s) => tryFiles(s, 2000))] : []),
  ...(wanted('answers') ? [untilTime(1, (s) => tryAnswers(s, 200, solver))] : []),
];

process.stdout.write(`\nseed ${seed}\n${HEAD}\n${tallies.map(row).join('\n')}\n`);
for (const t of tallies)
  for (const [what, { count, example }] of faultsOf(t))
    process.stdout.write(`\n${t.name}: ${count} x ${what}\n  ${example}\n`);
process.exit(tallies.some((t) => faultsOf(t).size > 0) ? 1 : 0);
