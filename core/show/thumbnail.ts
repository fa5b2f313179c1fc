import type { Assessment } from '../assessment';
import { type Drawn, drawAssembly } from './project';

/** Something worked out, drawn from the end in place of its whole outline: small enough to hand to a screen. */
export type WithThumbnail<T extends { readonly outline: Assessment }> = Omit<T, 'outline'> & {
  readonly shapes: readonly Drawn[];
};

export function withThumbnail<T extends { readonly outline: Assessment }>({ outline, ...rest }: T): WithThumbnail<T> {
  const { assembly, site } = outline;
  return { ...rest, shapes: drawAssembly(assembly, site.bed, site.survey, 'end') };
}
