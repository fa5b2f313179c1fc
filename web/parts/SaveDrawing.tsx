import type { ReactNode } from 'react';
import type { Outline } from '../../core/outline';
import { part } from '../app/fresh';
import { useAppDispatch } from '../app/hooks';
import { said } from '../app/state';
import { Pick } from './Pick';
import { saveFile } from './saveFile';

const KINDS = [
  {
    value: 'dxf',
    label: 'DXF',
    why: 'The three views, and every flat part at full size, for a drawing program or a cutter.',
  },
  { value: 'gltf', label: 'glTF', why: 'The whole cover in the round, every piece by its tag.' },
  { value: 'end', label: 'SVG, from the end', why: 'One view in millimetres, black on white.' },
  { value: 'side', label: 'SVG, from the side', why: 'One view in millimetres, black on white.' },
  { value: 'plan', label: 'SVG, from above', why: 'One view in millimetres, black on white.' },
] as const;
type Kind = (typeof KINDS)[number]['value'];

async function write(o: Outline, kind: Kind): Promise<void> {
  const { name } = o.cover;
  if (kind === 'dxf') saveFile(`${name}.dxf`, 'image/vnd.dxf', (await import('../../core/show/dxf')).dxf(o));
  else if (kind === 'gltf') saveFile(`${name}.gltf`, 'model/gltf+json', (await import('../../core/show/gltf')).gltf(o));
  else saveFile(`${name} ${kind}.svg`, 'image/svg+xml', (await import('../../core/show/svg')).viewSvg(o, kind));
}

/** Saves a cover’s drawing in an open format; what writes it is fetched only then. */
export function SaveDrawing({ outline }: { readonly outline: Outline }): ReactNode {
  const dispatch = useAppDispatch();
  return (
    <Pick
      label="Save a drawing"
      value=""
      empty="Save a drawing"
      options={KINDS}
      onChange={(kind) => {
        part(() => write(outline, kind as Kind)).catch(() =>
          dispatch(said('The drawing could not be written: its part of Cabanon did not come. Try again.')),
        );
      }}
    />
  );
}
