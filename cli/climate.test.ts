import { existsSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { demoGarden } from '../core/garden/demo';
import { writeGarden } from '../core/garden/write';
import { runCommand } from './run';

const folder = mkdtempSync(join(tmpdir(), 'cabanon-climate-'));
const file = (name: string, text: string): string => {
  writeFileSync(join(folder, name), text);
  return join(folder, name);
};
const garden = file('garden.json', writeGarden(demoGarden()));
const stamp = (h: number): string => new Date(Date.UTC(2027, 1, 1, h)).toISOString().slice(0, 16).replace('T', ' ');
const hours = (row: (h: number) => string): string => Array.from({ length: 72 }, (_, h) => row(h)).join('\n');
const weather = file(
  'weather.csv',
  `time,air C,sun,wind m/s\n${hours((h) => (h === 20 ? `${stamp(h)},x,0,1` : `${stamp(h)},${-5 + (h % 24) / 4},${h % 24 > 8 && h % 24 < 16 ? 350 : 0},1`))}`,
);

test('sun: one day, one winter, with degrees below nothing written as they come', async () => {
  const sun = JSON.parse(
    (await runCommand(['sun', '--lat', '44.1', '--lon', '-72.6', '--date', '2026-12-21', '--winter', '2026'])).out,
  ) as Record<string, unknown>;
  expect(sun['hours']).toBeCloseTo(8.875, 2);
  expect(sun).toMatchObject({
    winter: '2026-27',
    tenHourDates: ['2026-11-06', '2027-02-05'],
    sunriseUTC: '2026-12-21 12:22:18',
  });
  const south = JSON.parse(
    (await runCommand(['sun', '--lat=-37.8', '--lon', '145', '--winter', '2027'])).out,
  ) as Record<string, unknown>;
  expect(south).toMatchObject({ winter: '2027', tenHourDates: ['2027-05-20', '2027-07-25'] });
  expect(south).not.toHaveProperty('hours');
});

test('air: an hour a line, then a summary that names what was filled and what was left out', async () => {
  const { code, out, err } = await runCommand(['air', garden, '--cover', 'winter-lid', '--weather', weather]);
  expect([code, err]).toEqual([0, '']);
  const lines = out.trim().split('\n');
  const data = lines.filter((l) => !l.startsWith('#'));
  expect(data).toHaveLength(73);
  const noon = data[37]?.split(',').map(Number) ?? [];
  expect(noon[2]).toBeGreaterThan((noon[1] ?? 0) + 2);
  const summary = lines.filter((l) => l.startsWith('#')).join('\n');
  expect(summary).toContain('filled: 1 hours from 2027-02-02 01:00:00 UTC');
  expect(summary).toContain('left out: line 22, air C: must be an air temperature in C, not "x"');
  expect(summary).toContain('a planning aid');
});

test('season: every cover, or one, and a calendar file beside it', async () => {
  const out = join(folder, 'season');
  const all = JSON.parse((await runCommand(['season', garden, '--from', '2026-11-26', '--out', out])).out) as {
    seasons: { cover: string; tasks: { date: string; why: string }[] }[];
  };
  expect(all.seasons.map((s) => s.cover)).toEqual(demoGarden().covers.map((c) => c.id));
  for (const s of all.seasons) expect(s.tasks.length).toBeGreaterThan(4);
  expect(existsSync(join(out, 'season.ics'))).toBe(true);
  expect(readFileSync(join(out, 'season.ics'), 'utf8')).toContain('BEGIN:VEVENT');
  const one = JSON.parse((await runCommand(['season', garden, '--cover', 'salad-tunnel'])).out) as {
    seasons: unknown[];
  };
  expect(one.seasons).toHaveLength(1);
});

test.each([
  [['sun', '--lat', '91', '--lon', '0', '--date', '2027-01-01'], /^--lat: must be a number from -90 to 90, not "91"/],
  [['sun', '--lat', '1', '--lon', '0'], /^--date: say a date/],
  [['sun', '--lat', '1', '--lon', '0', '--date', '2027-02-29'], /^--date: must be a date such as/],
  [['sun', '--lat', '1', '--lon', '0', '--winter', '26.5'], /^--winter: must be the year/],
  [['sun', 'FILE'], /^FILE: sun reads no file/],
  [['air', garden, '--weather', weather], /^--cover: say which cover/],
  [['air', garden, '--cover', 'x', '--weather', weather], /^--cover: no cover "x"/],
  [['air', garden, '--cover', 'winter-lid'], /^--weather: say which file/],
  [['air', garden, '--cover', 'winter-lid', '--weather', 'nowhere.csv'], /^--weather: cannot read "nowhere.csv"/],
  [['air', garden, '--cover', 'winter-lid', '--weather', garden], /^--weather (rows|time|air|line 1)/],
  [['season', garden, '--from', 'soon'], /^--from: must be a date/],
])('%j is refused with what would be right', async (args, said) => {
  const { code, out, err } = await runCommand(args);
  expect(code).toBe(2);
  expect(out).toBe('');
  expect(err).toMatch(said);
});
