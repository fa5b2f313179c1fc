/** Tonight's word for covers of the open garden, worked out in the background as the forecast comes. */
import { useCallback, useMemo } from 'react';
import type { Tonight } from '../../core/judge/season/tonight';
import { useGarden } from '../app/hooks';
import { askTonight } from '../background/planClient';
import { useLive } from '../background/useLive';
import type { Forecast } from './useForecast';

/** The word for one cover; nothing where it cannot be drawn as it is. */
interface TonightOf {
  readonly id: string;
  readonly word: Tonight | undefined;
}

const NOBODY: readonly TonightOf[] = [];

/** @returns a word for each cover; nothing before the first answer */
export function useTonight(
  forecast: Forecast | string | undefined,
  coverIds: readonly string[],
): readonly TonightOf[] | undefined {
  const garden = useGarden();
  const ids = coverIds.join(' ');
  const input = useMemo(() => ({ garden, forecast, ids: ids === '' ? [] : ids.split(' ') }), [garden, forecast, ids]);
  const run = useCallback(async (q: typeof input): Promise<readonly TonightOf[] | undefined> => {
    if (q.forecast === undefined || typeof q.forecast === 'string') return undefined;
    if (q.ids.length === 0) return NOBODY;
    const words = await askTonight(q.garden, q.ids, q.forecast.weather, q.forecast.now);
    return words.map((word, i) => ({ word, id: q.ids[i] ?? '' }));
  }, []);
  return useLive(input, run);
}
