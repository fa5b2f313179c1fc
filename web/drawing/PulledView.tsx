import { type ComponentProps, type ReactNode, useState } from 'react';
import type { ViewFrame } from '../../core/show/project';
import { type LayoutOf, fitView, layoutView } from '../../core/show/viewLayout';
import type { Pulling } from './Handles';
import { ViewDrawing, useView } from './ViewDrawing';
import type { Size } from './useSize';

/** What a view keeps while it is pulled at: its paper and its scale, or it would run from the hand. */
interface Still {
  readonly frame: Omit<ViewFrame, 'shapes'>;
  readonly scale: number;
}

interface PulledProps extends Omit<ComponentProps<typeof ViewDrawing>, 'of' | 'layout' | 'pulling' | 'ghost'> {
  readonly cell: Size;
  readonly pulling: Pulling;
  /** What would be there, from what is. */
  readonly ghostOf?: (of: LayoutOf) => ComponentProps<typeof ViewDrawing>['ghost'];
}

/** A view as large as its cell allows, that can be pulled at. */
export function PulledView({ cell, ghostOf, ...rest }: PulledProps): ReactNode {
  const { outline, view, pulling } = rest;
  const [still, hold] = useState<Still>();
  const held = pulling.now !== undefined;
  const of = useView(outline, view, false, still?.frame);
  const layout = still ? layoutView(of, still.scale) : fitView(of, cell);
  // As it was when the hand took it, until it lets go.
  if (held && !still) {
    const { widthMm, heightMm, u0, v1 } = of.frame;
    hold({ frame: { widthMm, heightMm, u0, v1 }, scale: layout.scale });
  } else if (!held && still) hold(undefined);
  return <ViewDrawing of={of} layout={layout} ghost={ghostOf?.(of)} {...rest} />;
}
