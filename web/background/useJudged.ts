import { useEffect, useState } from 'react';
import type { evaluate } from '../../core/evaluate';
import type { CoverLayout } from '../../core/layout';
import type { Assessment } from '../../core/assessment';
import { onceDrawn, loadPart } from '../app/appUpdate';

let judge: typeof evaluate | undefined;

/**
 * What a design is judged to be. The part of the program that judges is fetched once there is a drawing.
 * @returns undefined until it is there
 */
export function useJudged(laid: CoverLayout | undefined): Assessment | undefined {
  const [ready, setReady] = useState(judge !== undefined);
  const [broken, setBroken] = useState<unknown>();
  const asked = laid !== undefined;
  useEffect(() => {
    if (ready || !asked) return;
    return onceDrawn(() => {
      loadPart(() => import('../../core/evaluate')).then((m) => {
        judge = m.evaluate;
        setReady(true);
      }, setBroken);
    });
  }, [ready, asked]);
  if (broken !== undefined) throw broken;
  const judged = laid && judge?.(laid.garden, laid.cover);
  return judged?.ok ? judged.value : undefined;
}
