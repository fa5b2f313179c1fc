import type { ReactNode } from 'react';
import type { CutCover } from '../../core/cut';
import type { Assessment } from '../../core/assessment';
import { loadPart } from '../app/appUpdate';
import { useAppDispatch } from '../app/hooks';
import { noticeShown } from '../app/state';
import { Pick } from './Pick';
import { saveFile } from './saveFile';

const BOOK = 'Drawings to scale, what to buy, the cuts, the steps, templates, a card for the season.';
const KINDS = [
  { value: 'letter', label: 'Booklet, letter paper', why: BOOK, group: 'On paper' },
  { value: 'a4', label: 'Booklet, A4', why: BOOK, group: 'On paper' },
  {
    value: 'tags-letter',
    label: 'Piece tags, letter paper',
    why: 'One for every piece, to stick on.',
    group: 'On paper',
  },
  { value: 'tags-a4', label: 'Piece tags, A4', why: 'One for every piece, to stick on.', group: 'On paper' },
  {
    value: 'dxf',
    label: 'DXF',
    why: 'The three views, and every flat part at full size, for a drawing program or a cutter.',
    group: 'For other programs',
  },
  {
    value: 'gltf',
    label: 'glTF',
    why: 'The whole cover in the round, every piece by its tag.',
    group: 'For other programs',
  },
  { value: 'end', label: 'SVG, from the end', why: 'In millimetres, black on white.', group: 'For other programs' },
  { value: 'side', label: 'SVG, from the side', why: 'In millimetres, black on white.', group: 'For other programs' },
  { value: 'plan', label: 'SVG, from above', why: 'In millimetres, black on white.', group: 'For other programs' },
] as const;
type Kind = (typeof KINDS)[number]['value'];

const PDF = 'application/pdf';

async function write(o: Assessment, work: Pick<CutCover, 'cuts' | 'shopping'>, kind: Kind): Promise<void> {
  const { name } = o.cover;
  switch (kind) {
    case 'letter':
    case 'a4': {
      const { booklet } = await import('../../core/show/booklet');
      return saveFile(`${name} booklet.pdf`, PDF, new Uint8Array(await booklet({ ...o, ...work }, kind)));
    }
    case 'tags-letter':
    case 'tags-a4': {
      const { tagSheet } = await import('../../core/show/tagSheet');
      const pdf = await tagSheet(o, kind === 'tags-a4' ? 'a4' : 'letter');
      return saveFile(`${name} tags.pdf`, PDF, new Uint8Array(pdf));
    }
    case 'dxf':
      return saveFile(`${name}.dxf`, 'image/vnd.dxf', (await import('../../core/show/dxf')).dxf(o));
    case 'gltf':
      return saveFile(`${name}.gltf`, 'model/gltf+json', (await import('../../core/show/gltf')).gltf(o));
    default:
      return saveFile(`${name} ${kind}.svg`, 'image/svg+xml', (await import('../../core/show/svg')).viewSvg(o, kind));
  }
}

/** Saves a cover as a booklet, as tags or as a drawing in an open format; what writes it is fetched only then. */
export function SaveDrawing({
  outline,
  work,
}: {
  readonly outline: Assessment;
  readonly work: Pick<CutCover, 'cuts' | 'shopping'>;
}): ReactNode {
  const dispatch = useAppDispatch();
  return (
    <Pick
      label="Save as a file"
      value=""
      empty="Save as a file"
      options={KINDS}
      onChange={(kind) => {
        loadPart(() => write(outline, work, kind as Kind)).catch(() =>
          dispatch(noticeShown('The file could not be written: its part of Cabanon did not come. Try again.')),
        );
      }}
    />
  );
}
