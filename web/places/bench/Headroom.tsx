import type { CoverLayout } from '../../../core/layout';
import { heightAt } from '../../../core/base/geometry';
import { type ReactNode, useState } from 'react';
import styled from 'styled-components';
import { type Figure, term } from '../../../core/base/figure';
import { worked } from '../../../core/base/formula';
import { fail, ok } from '../../../core/base/result';
import { formatLength } from '../../../core/base/length';
import { useUnits } from '../../app/hooks';
import { Why } from '../../parts/Why';
import { LengthField } from '../../parts/TypedField';

const Box = styled.dl`
  display: grid;
  grid-template-columns: auto auto;
  gap: 0.1rem 0.7rem;
  align-items: center;
  justify-content: start;
  font-size: 0.875rem;
  dt {
    color: var(--quiet);
  }
  dd {
    font-weight: 600;
  }
  input {
    --field-height: 1.6rem;
  }
  .head {
    grid-column: 1 / -1;
    font-weight: 600;
    color: var(--ink);
  }
`;

/** Clear height over the soil at the edge row, in the middle, and at any distance that is typed. */
export function Headroom({ outline: o }: { readonly outline: CoverLayout }): ReactNode {
  const { length } = useUnits();
  const [asked, setAsked] = useState(200);
  const arch = o.assembly.arches[0];
  const { bed } = o.site;
  const { soilZMm, topZMm } = o.assembly.crop;
  const at = (fromWall: number): number => heightAt(o.assembly.under, bed.wall.thicknessMm + fromWall) - soilZMm;
  const why = (label: string, fromWall: number): Figure =>
    worked({
      label,
      quantity: 'length',
      formula: 'clear height = max(0; underside above the ground − soil above the ground)',
      terms: [
        term('underside above the ground', at(fromWall) + soilZMm, 'length'),
        term('soil above the ground', soilZMm, 'length'),
      ],
      besides: [term('from the inside of the wall', fromWall, 'length')],
      source: 'The underside as built; of sprung pipe its true curve (planar elastica).',
      assumes: ['Under a hoop or bar; the cover sags a little between them.'],
    });
  const width = o.site.survey.frameOn.widthMm - 2 * bed.wall.thicknessMm;
  return (
    <Box>
      <dt className="head">Clear height over the soil</dt>
      <dt>
        <LengthField
          label="Distance from the wall, to read the clear height there"
          valueMm={asked}
          boxed
          onSet={(mm) => {
            if (mm < 0 || mm > width) return fail('distance', 'That is outside the bed.');
            setAsked(mm);
            return ok(mm);
          }}
        />{' '}
        from the wall
      </dt>
      <dd className="measure" data-testid="headroom">
        <Why figure={why('Clear height there', asked)} />
      </dd>
      <dt>in the middle</dt>
      <dd className="measure">
        <Why figure={why('Clear height in the middle', width / 2)} />
      </dd>
      <dt>{o.assembly.crop.crop.name}, full-grown</dt>
      <dd className="measure">{formatLength(topZMm - soilZMm, length)}</dd>
      {arch && (
        <>
          <dt>widest point of the hoop</dt>
          <dd className="measure">{formatLength(arch.hoop.maxWidthMm, length)}</dd>
        </>
      )}
    </Box>
  );
}
