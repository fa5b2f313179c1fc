/** Tonight's word for covers of the open garden, worked out in the background as the forecast comes. */
import type { Tonight } from '../../core/judge/season/tonight';
import { useJob } from '../background/useJob';
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
  const told = typeof forecast === 'object' ? forecast : undefined;
  const input = told && coverIds.length > 0 ? { coverIds, now: told.now } : undefined;
  const { value: words } = useJob('tonight', input, { weather: told?.weather, live: true });
  if (!told) return undefined;
  return coverIds.length === 0 ? NOBODY : words?.map((word, i) => ({ word, id: coverIds[i] ?? '' }));
}
