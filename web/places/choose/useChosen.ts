import type { Draft } from 'immer';
import { useNavigate } from 'react-router';
import { freshName } from '../../../core/base/ids';
import type { Cover } from '../../../core/garden/garden';
import type { Bed } from '../../../core/site/bed';
import { useGarden, useTake } from '../../app/hooks';
import { newId } from '../../app/names';
import { useWay } from '../../app/way';

/** Takes a design into the garden as a cover of a bed, and goes to the bench with it. */
export function useChosen(bed: Bed): (design: { readonly name: string; readonly cover: Cover }) => void {
  const garden = useGarden();
  const take = useTake();
  const navigate = useNavigate();
  const way = useWay();
  return (design) => {
    const name = freshName(
      design.name,
      garden.covers.map((c) => c.name),
    );
    const cover = { ...design.cover, id: newId(), name } as Draft<Cover>;
    if (take(`Cover ${bed.name}`, (g) => void g.covers.push(cover)).ok) void navigate(way('bench', cover.id));
  };
}
