import type { ReactNode } from 'react';
import styled from 'styled-components';
import { MS_PER_DAY, addDays, dayNumber, daysBetween, isoDay, sayDay } from '../../../core/base/days';
import { STANDSTILL_HOURS, sunDay } from '../../../core/judge/season/daylight';
import { frostOf, inSpan } from '../../../core/judge/season/frost';
import type { Task } from '../../../core/judge/season/calendar';
import type { Place } from '../../../core/site/place';
import type { SeasonOf } from '../../weather/useSeasons';

const Figure = styled.figure`
  margin: 0;
  overflow-x: auto;
  svg {
    display: block;
    min-width: 40rem;
    width: 100%;
    height: auto;
  }
  text {
    font-family: var(--sans);
    fill: var(--ink);
    font-size: 13px;
  }
  .quiet {
    fill: var(--quiet);
  }
  .in {
    font-size: 12px;
  }
`;

const WIDTH = 840;
const LEFT = 128;
const DAY = (WIDTH - LEFT - 6) / 365;
const LIGHT = { y: 26, height: 52 };
const FROST_Y = 92;
const ROW = 46;
const FIRST_ROW = 128;
const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

const BARS: Readonly<Partial<Record<Task['kind'], { readonly fill: string; readonly word: string }>>> = {
  harvest: { fill: 'var(--leaf)', word: 'harvest' },
  flower: { fill: 'var(--sun)', word: 'flowers' },
  harden: { fill: 'var(--hair)', word: 'harden' },
};

/** Twelve months in one drawing: light, frost, and each cover with what it wears and grows. */
export function Ribbon({
  from,
  place,
  seasons,
  coverName,
}: {
  readonly from: string;
  readonly place: Place;
  readonly seasons: readonly SeasonOf[];
  readonly coverName: (key: string) => string;
}): ReactNode {
  const at = (date: string): number => LEFT + Math.max(0, Math.min(365, daysBetween(from, date))) * DAY;
  const weeks = Array.from({ length: 74 }, (_, i) => addDays(from, i * 5)).filter((d) => daysBetween(from, d) <= 365);
  const hours = weeks.map((d) => ({ d, h: sunDay(place.latitudeDeg, place.longitudeDeg, d).hours }));
  const [shortest, longest] = [Math.min(...hours.map((x) => x.h)), Math.max(...hours.map((x) => x.h))];
  const y = (h: number): number =>
    LIGHT.y + LIGHT.height * (0.9 - (0.8 * (h - shortest)) / Math.max(1, longest - shortest));
  const curve = hours.map(({ d, h }) => `${at(d).toFixed(1)},${y(h).toFixed(1)}`).join(' ');
  const dark = hours.filter(({ h }) => h < STANDSTILL_HOURS);
  const frost = frostOf(place);
  const firsts = Array.from({ length: 13 }, (_, i) => {
    const month = Number(from.slice(5, 7)) - 1 + i;
    return isoDay(Date.UTC(Number(from.slice(0, 4)), month + 1, 1) / MS_PER_DAY);
  }).filter((d) => dayNumber(d) - dayNumber(from) < 365);
  const height = FIRST_ROW + ROW * seasons.length + 6;
  const frosty = frost ? spans(from, (d) => inSpan(d, frost.firstAutumn, frost.lastSpring)) : [];
  return (
    <Figure>
      <svg
        viewBox={`0 0 ${WIDTH} ${height}`}
        role="img"
        aria-label={`Twelve months from ${sayDay(from)}: light, frost, and ${seasons.length} covers; the same stands in the list below`}
      >
        {firsts.map((d) => (
          <g key={d}>
            <line x1={at(d)} x2={at(d)} y1={18} y2={height - 4} stroke="var(--hair)" />
            <text className="quiet" x={at(d) + 3} y={14}>
              {MONTHS[Number(d.slice(5, 7)) - 1]}
            </text>
          </g>
        ))}
        <text x={0} y={LIGHT.y + 20}>
          Daylight
        </text>
        <text className="quiet in" x={0} y={LIGHT.y + 36}>
          grey: under 10 h
        </text>
        <polyline
          points={`${LEFT},${LIGHT.y + LIGHT.height} ${curve} ${at(addDays(from, 365))},${LIGHT.y + LIGHT.height}`}
          fill="var(--sun)"
          fillOpacity={0.28}
        />
        {runs(dark.map(({ d }) => d)).map(([a, b]) => (
          <rect
            key={a}
            x={at(a)}
            width={at(b) - at(a)}
            y={LIGHT.y}
            height={LIGHT.height}
            fill="var(--quiet)"
            fillOpacity={0.22}
          />
        ))}
        <polyline points={curve} fill="none" stroke="var(--sun-ink)" strokeWidth={1.5} />
        <text x={0} y={FROST_Y + 12}>
          Frost outside
        </text>
        {frosty.map(([a, b]) => (
          <rect
            key={a}
            x={at(a)}
            width={at(b) - at(a)}
            y={FROST_Y}
            height={16}
            fill="var(--frost)"
            fillOpacity={0.75}
          />
        ))}
        {seasons.map(({ cover, wears, tasks }, i) => {
          const top = FIRST_ROW + i * ROW;
          const worn = spans(
            from,
            () => true,
            (d) =>
              [...cover.coats].reverse().find((c) => inSpan(d, c.from, c.to))?.coverKey ??
              (cover.coats.some((c) => c.coverKey === null && inSpan(d, c.from, c.to)) ? '' : wears),
          );
          return (
            <g key={cover.id}>
              <line x1={0} x2={WIDTH} y1={top - 6} y2={top - 6} stroke="var(--hair)" />
              <text x={0} y={top + 12}>
                {cover.name.length > 19 ? `${cover.name.slice(0, 18)}…` : cover.name}
              </text>
              {worn.map(([a, b, key]) => (
                <g key={a}>
                  <rect
                    x={at(a)}
                    width={Math.max(0, at(b) - at(a) - 1)}
                    y={top}
                    height={16}
                    fill={key === '' ? 'none' : 'var(--film)'}
                    stroke="var(--film-edge)"
                  />
                  {at(b) - at(a) > 60 && key !== '' && (
                    <text className="in" x={at(a) + 4} y={top + 12}>
                      {clip(coverName(key ?? wears), (at(b) - at(a)) / 6.6)}
                    </text>
                  )}
                </g>
              ))}
              {[...tasks]
                .sort((a, b) => Number(b.kind === 'harden') - Number(a.kind === 'harden'))
                .map((t) => {
                  const bar = BARS[t.kind];
                  const y0 = top + 19;
                  if (t.kind === 'sow')
                    return (
                      <g key={t.id}>
                        <path d={`M${at(t.date)} ${y0} l6 7 l-6 7 l-6 -7 z`} fill="var(--chalk)" />
                        <title>{`${t.title}, ${sayDay(t.date)}`}</title>
                      </g>
                    );
                  if (!bar || t.until === undefined) return null;
                  const [x0, x1] = [at(t.date < from ? from : t.date), at(t.until)];
                  return (
                    <g key={t.id}>
                      <rect x={x0} width={Math.max(2, x1 - x0)} y={y0} height={14} fill={bar.fill} />
                      <title>{`${t.title}, ${sayDay(t.date)} to ${sayDay(t.until)}`}</title>
                      {x1 - x0 > 50 && (
                        <text className="in" x={x0 + 4} y={y0 + 11}>
                          {bar.word}
                        </text>
                      )}
                    </g>
                  );
                })}
            </g>
          );
        })}
      </svg>
      <figcaption className="quiet">
        Diamonds: sow or plant out. Upper bar of a cover: what it wears; lower: what is picked, hardened off or in
        flower.
      </figcaption>
    </Figure>
  );
}

const clip = (text: string, chars: number): string =>
  text.length > chars ? `${text.slice(0, Math.max(1, Math.floor(chars) - 1))}…` : text;

/** Stretches of the twelve months in which something is so and the same. */
function spans(
  from: string,
  so: (date: string) => boolean,
  what: (date: string) => string = () => '',
): readonly (readonly [string, string, string])[] {
  const out: [string, string, string][] = [];
  for (let i = 0; i < 365; i++) {
    const d = addDays(from, i);
    if (!so(d)) continue;
    const key = what(d);
    const last = out[out.length - 1];
    if (last?.[1] === d && last[2] === key) last[1] = addDays(d, 1);
    else out.push([d, addDays(d, 1), key]);
  }
  return out;
}

/** Runs of dates five days apart. */
function runs(dates: readonly string[]): readonly (readonly [string, string])[] {
  const out: [string, string][] = [];
  for (const d of dates) {
    const last = out[out.length - 1];
    if (last && daysBetween(last[1], d) <= 5) last[1] = d;
    else out.push([d, d]);
  }
  return out.filter(([a, b]) => a !== b);
}
