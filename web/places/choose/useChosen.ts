import { useNavigate } from 'react-router';
import { addDesign } from '../../../core/commands/design';
import type { Cover } from '../../../core/garden/garden';
import { useRun } from '../../app/hooks';
import { newId } from '../../app/names';
import { useWay } from '../../app/way';

/** Takes a design into the garden as a cover of a bed, and goes to the bench with it. */
export function useChosen(): (design: { readonly name: string; readonly cover: Cover }) => void {
  const run = useRun();
  const navigate = useNavigate();
  const way = useWay();
  return (design) => {
    const id = newId();
    if (run((g) => addDesign(g, design.cover, id, design.name)).ok) void navigate(way('bench', id));
  };
}
