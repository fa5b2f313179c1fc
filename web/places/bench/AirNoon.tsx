import type { Assessment } from '../../../core/assessment';
import { type ReactNode, useMemo } from 'react';
import { clearDayRiseC } from '../../../core/air';
import type { Result } from '../../../core/base/result';
import { formatAmount } from '../../../core/base/amount';
import { useUnits } from '../../app/hooks';
import { type DrawingScale, toScreen } from '../../drawing/Shapes';
import { FittedView } from '../../drawing/FittedView';
import { Why } from '../../parts/Why';
import { VENT_UNITS } from '../../../core/catalog/ventUnits';

/** Figures nearer to each other than this are the same to a gardener, C. */
const AGREE_C = 3;

/** A clear noon under the shut cover, and the vents that would do. */
export function AirNoon({
  outline: o,
  onSet,
}: {
  readonly outline: Assessment;
  readonly onSet: (id: string, mm: number) => Result<unknown>;
}): ReactNode {
  const units = useUnits();
  const { air } = o;
  const { noon } = o.garden.site;
  const hourlyC = useMemo(() => clearDayRiseC(o), [o]);
  const inside = noon.outsideC + air.riseShutC;
  const louvres = 2 * Math.ceil(air.ventEachM2 / VENT_UNITS.louvre.freeM2);
  return (
    <>
      <FittedView outline={o} view="end" onSet={onSet} extra={(sheet) => <Vents outline={o} sheet={sheet} />} />
      <div className="words">
        <div>
          <h2>Shut, at a clear noon</h2>
          <div className="big measure" style={{ color: 'var(--sun-ink)' }}>
            +<Why figure={air.figures.rise} />
          </div>
          <p className="quiet">
            {formatAmount(noon.outsideC, 'temperature', units)} outside, about{' '}
            {formatAmount(inside, 'temperature', units)} inside. Sun {formatAmount(air.sunAltitudeDeg, 'angle', units)}{' '}
            high.{' '}
            {air.riseShutC - hourlyC > AGREE_C
              ? `That is over soil that is warm and dry, with a grown crop: vents are sized for it. Soil as cold and wet as it is on this date takes much of the warmth, and hour by hour it gets ${formatAmount(hourlyC, 'warming', units)} warmer.`
              : `Hour by hour it comes to much the same: ${formatAmount(hourlyC, 'warming', units)}.`}
          </p>
        </div>
        <div>
          <h2>Two vents, one low, one high, each</h2>
          <div className="big measure">
            <Why figure={air.figures.vent} />
          </div>
          <p className="quiet">
            {air.ventEachM2 > 0
              ? `A square ${formatAmount(Math.sqrt(air.ventEachM2) * 1000, 'length', units)} a side keeps it within ${formatAmount(noon.allowedRiseC, 'warming', units)} of outside: ${louvres} thermostat louvres as they are sold, half of them low at one end.`
              : `It stays within ${formatAmount(noon.allowedRiseC, 'warming', units)} of outside with no vent.`}
          </p>
        </div>
        <div>
          <h2>The common rule</h2>
          <p>
            15 to 20 % of the floor: <b className="measure">{formatAmount(air.ruleM2[0], 'area', units)}</b> to{' '}
            <b className="measure">{formatAmount(air.ruleM2[1], 'area', units)}</b> of opening in all. Here the two
            vents make <b className="measure">{formatAmount(2 * air.ventEachM2, 'area', units)}</b>.
          </p>
        </div>
        <p className="quiet">Air any sunny day above about {formatAmount(7, 'temperature', units)} outside.</p>
      </div>
    </>
  );
}

/** The two vents, to scale, as squares on the end of the cover. */
function Vents({ outline: o, sheet }: { readonly outline: Assessment; readonly sheet: DrawingScale }): ReactNode {
  const { under } = o.assembly;
  const top = under.reduce((best, p) => (p.z > best.z ? p : best));
  const foot = Math.min(...under.map((p) => p.z));
  const side = Math.sqrt(o.air.ventEachM2) * 1000;
  if (side < 1) return null;
  const middle = top.y;
  const px = side * sheet.scale;
  return (
    <g>
      {[
        { name: 'low', z: foot + side },
        { name: 'high', z: foot + (top.z - foot) * 0.93 },
      ].map(({ name, z }) => {
        const [x, y] = toScreen(sheet, [middle, z]);
        return (
          <g key={name}>
            <rect
              x={x - px / 2}
              y={y}
              width={px}
              height={px}
              fill="var(--sun)"
              fillOpacity={0.25}
              stroke="var(--sun-ink)"
              strokeWidth={1.5}
              strokeDasharray="5 3"
            />
            <text x={x + px / 2 + 5} y={y + px / 2 + 4} style={{ fill: 'var(--sun-ink)', fontWeight: 600 }}>
              {name}
            </text>
          </g>
        );
      })}
    </g>
  );
}
