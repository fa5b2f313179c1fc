import type { Phrase } from '../../core/base/figure';

/** One thing that can be chosen: its name, its reason, what it would change. */
export interface Picked {
  readonly value: string;
  readonly label: string;
  readonly why?: string | Phrase;
  /** Shown at the right of its name: what it costs beside what is chosen. */
  readonly cost?: string;
  /** Why it cannot be chosen here. */
  readonly not?: string;
  /** The heading that it stands under. */
  readonly group?: string;
}

export interface PickProps {
  /** What is chosen, for those who do not see the name beside it. */
  readonly label: string;
  readonly value: string;
  readonly options: readonly Picked[];
  readonly onChange: (value: string) => void;
  /** Said while nothing is chosen. */
  readonly empty?: string;
  readonly onOpen?: (() => void) | undefined;
  readonly className?: string;
}
