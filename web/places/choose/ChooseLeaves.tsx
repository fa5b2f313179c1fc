import type { ReactNode } from 'react';
import { useCurrent } from '../../app/current';
import { useWay } from '../../app/way';
import { Leaves } from '../../parts/Leaves';

const LEAVES = [
  { key: '', name: 'Say what for' },
  { key: 'kinds', name: 'Every kind' },
] as const;

/** The two ways to a cover: from what it is for, or from what kinds there are. */
export function ChooseLeaves(): ReactNode {
  const { bed } = useCurrent();
  const way = useWay();
  return <Leaves label="Ways to choose" to={way('choose', bed?.id ?? '')} leaves={LEAVES} />;
}
