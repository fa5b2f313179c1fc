import { demoGarden } from '../garden/demo';
import { evaluate } from '../evaluate';
import { airOf, climatePlace, seasonOfCover } from '../air';
import { simulatedWeather } from '../judge/weather/simulated';
import { climateCsv } from './climateCsv';
import { icalendar } from './icalendar';

const garden = demoGarden();
const outlined = garden.covers.slice(0, 2).flatMap((c) => {
  const o = evaluate(garden, c);
  return o.ok ? [o.value] : [];
});

test('a calendar file: whole days, the day after the last as its end, one reminder each, lines no longer than 75 bytes', () => {
  const covers = outlined.map((o) => ({
    coverId: o.cover.id,
    coverName: o.cover.name,
    tasks: seasonOfCover(o, '2026-11-26'),
  }));
  const text = icalendar(garden.name, covers, garden.units, Date.UTC(2026, 10, 26));
  const lines = text.split('\r\n');
  expect(lines[0]).toBe('BEGIN:VCALENDAR');
  expect(text.endsWith('END:VCALENDAR\r\n')).toBe(true);
  expect(text).not.toMatch(/[^\r]\n/);
  for (const line of lines) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
  const count = (word: string): number => lines.filter((l) => l === word).length;
  const all = covers.flatMap((c) => c.tasks);
  expect(count('BEGIN:VEVENT')).toBe(all.length);
  expect(count('BEGIN:VALARM')).toBe(all.filter((t) => t.kind !== 'frost' && t.kind !== 'light').length);
  const sow = all.find((t) => t.id === 'sow-spring');
  expect(text).toContain(`DTSTART;VALUE=DATE:${sow?.date.replaceAll('-', '')}`);
  expect(new Set(lines.filter((l) => l.startsWith('UID:'))).size).toBe(all.length);
  expect(text).toContain('DTSTAMP:20261126T000000Z');
});

test('an hour a line, by the clock of the place', () => {
  const [o] = outlined;
  if (!o) throw new Error('no cover');
  const w = simulatedWeather(garden.site, '', Date.parse('2027-02-01T05:00:00Z'), 30);
  const climate = airOf(o, w);
  const lines = climateCsv(climate, w, climatePlace(garden, w.startMs).utcHours).trim().split('\n');
  expect(lines).toHaveLength(31);
  expect(lines[0]).toBe('time,outside_c,inside_c,inside_low_c,inside_high_c,soil_c,sun_w_m2,open_percent,drip_kg');
  const cells = lines[13]?.split(',') ?? [];
  expect(cells[0]).toBe('2027-02-01 12:00');
  expect(Number(cells[1])).toBeCloseTo(w.airC[12] ?? NaN, 2);
  expect(Number(cells[2])).toBeCloseTo(climate.run.airC[12] ?? NaN, 2);
});
