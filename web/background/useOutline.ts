import type { Result } from '../../core/base/result';
import { evaluate } from '../../core/evaluate';
import type { Cover } from '../../core/garden/garden';
import type { Assessment } from '../../core/assessment';
import { useGarden } from '../app/hooks';

/** The outline of a cover, worked out at once, and once for all who ask. */
export function useOutline(cover: Cover | undefined): Result<Assessment> | undefined {
  const garden = useGarden();
  return cover && evaluate(garden, cover);
}
