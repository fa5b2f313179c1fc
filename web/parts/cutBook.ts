import { useCallback } from 'react';
import type { CutCover } from '../../core/cut';
import { loadPart } from '../app/appUpdate';
import { useAppDispatch } from '../app/hooks';
import { noticeShown } from '../app/state';
import { saveFile } from './saveFile';

type Booked = Pick<CutCover, 'garden' | 'cuts' | 'sheets' | 'rolls'>;

/** Writes the cut book and hands it to the gardener; the writer of PDF files is fetched only now. */
export function useCutBook(): (work: Booked, title: string) => void {
  const dispatch = useAppDispatch();
  return useCallback(
    (work, title) => {
      loadPart(() => import('../../core/show/cutBook'))
        .then(({ cutBook }) => cutBook(work, title))
        .then((pdf) => saveFile(`${title} cut book.pdf`, 'application/pdf', new Uint8Array(pdf)))
        .catch(() =>
          dispatch(noticeShown('The cut book could not be written: its part of Cabanon did not come. Try again.')),
        );
    },
    [dispatch],
  );
}
