import type { Outline } from '../outline';
import { type Drawn, drawAssembly } from './project';

/** Something worked out, drawn from the end in place of its whole outline: small enough to hand to a screen. */
export type Pictured<T extends { readonly outline: Outline }> = Omit<T, 'outline'> & {
  readonly shapes: readonly Drawn[];
};

export function pictured<T extends { readonly outline: Outline }>({ outline, ...rest }: T): Pictured<T> {
  const { assembly, site } = outline;
  return { ...rest, shapes: drawAssembly(assembly, site.bed, site.survey, 'end') };
}
