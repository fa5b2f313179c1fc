import { useEffect } from 'react';
import { useParams } from 'react-router';
import { textToId } from '../../core/base/ids';
import type { Bed } from '../../core/site/bed';
import type { Cover } from '../../core/garden/garden';
import { useApp, useAppDispatch } from './hooks';
import { tookInHand } from './state';

/** The bed and cover in hand: those of the address, or the last ones seen, so that every place shows the same thing. */
export function useCurrent(): { readonly bed: Bed | undefined; readonly cover: Cover | undefined } {
  const params = useParams();
  const [bedId, coverId] = [params['bedId'], params['coverId']].map((text) => text && textToId(text));
  const garden = useApp((s) => s.open?.doc);
  const last = useApp((s) => s.inHand);
  if (!garden) return { bed: undefined, cover: undefined };
  const coverOf = (id: string | undefined): Cover | undefined => garden.covers.find((c) => c.id === id);
  const bedOf = (id: string | undefined): Bed | undefined => garden.beds.find((b) => b.id === id);
  const asked = coverOf(coverId);
  const bed = bedOf(asked?.bedId ?? bedId) ?? bedOf(last.bedId) ?? garden.beds[0];
  const remembered = coverOf(last.coverId);
  const cover = asked ?? (remembered?.bedId === bed?.id ? remembered : garden.covers.find((c) => c.bedId === bed?.id));
  return { bed, cover };
}

/** Keeps in mind what is in hand, for places whose address does not say it. */
export function useKeepInHand(): void {
  const { bed, cover } = useCurrent();
  const dispatch = useAppDispatch();
  const [bedId, coverId] = [bed?.id, cover?.id];
  useEffect(() => {
    dispatch(tookInHand({ bedId, coverId }));
  }, [bedId, coverId, dispatch]);
}
