import type { RefObject } from 'react';
import { isFileDropItem, useDrop } from 'react-aria-components';
import { useNavigate } from 'react-router';
import { type FileUse, readDropped } from './dropped';
import { useApp, useAppDispatch } from './hooks';
import { noticeShown } from './state';
import { useWay } from './way';

/** A file that is dropped anywhere goes to the place that takes its kind. */
export function useFileDrop(
  page: RefObject<HTMLElement | null>,
  coverId: string | undefined,
): Pick<ReturnType<typeof useDrop>, 'dropProps' | 'isDropTarget'> {
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const way = useWay();
  const open = useApp((s) => s.open !== null);
  const placeOf = (use: FileUse): string | undefined => {
    if (use === 'garden') return '/gardens';
    if (!open) return undefined;
    if (use === 'prices') return way('shelf');
    if (use === 'picture') return way('book', 'log');
    return coverId === undefined ? undefined : way('bench', coverId, 'air');
  };
  return useDrop({
    ref: page,
    getDropOperation: () => 'copy',
    onDrop: ({ items }) => {
      const [item] = items.filter(isFileDropItem);
      if (!item) return;
      void (async () => {
        const dropped = await readDropped(await item.getFile());
        const place = dropped && placeOf(dropped.use);
        if (place !== undefined) return navigate(place, { state: dropped });
        dispatch(
          noticeShown(
            dropped
              ? `“${item.name}” goes with a garden that has a cover: open one first.`
              : `“${item.name}” is no garden (.json), price list or weather (.csv, .epw), and no picture.`,
          ),
        );
      })();
    },
  });
}
