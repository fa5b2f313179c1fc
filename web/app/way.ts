/** Addresses: each carries its garden, so that two tabs on two gardens never change places. */
import { useCallback } from 'react';
import { idToText } from '../../core/base/ids';
import { useApp } from './hooks';

/** Address of a place in a garden: the place, then what is in hand there. */
export function wayTo(gardenId: string, ...steps: readonly string[]): string {
  return `/${['g', gardenId, ...steps].map(idToText).join('/')}`;
}

/** Addresses within the open garden. */
export function useWay(): (...steps: readonly string[]) => string {
  const id = useApp((s) => s.open?.id ?? '');
  return useCallback((...steps) => wayTo(id, ...steps), [id]);
}
