/** What of a cover moves: for a hand, for air, or to be carried away; and what is worked out of that. */
import type { Vec3 } from '../../base/geometry';

/** What moves: for a hand, for air, or to be carried away. */
export interface Opening {
  readonly name: string;
  readonly by: 'skirt' | 'lid' | 'lift-off' | 'flap' | 'vent' | 'louvre' | 'door' | 'roll-up' | 'crown' | 'open';
  /** The pieces that move, by tag. */
  readonly tags: readonly string[];
  /** The line it turns about, or the path it is moved along, mm. */
  readonly line: readonly [Vec3, Vec3];
  /** How far: degrees about the line, or mm along it. */
  readonly travel: { readonly deg: number } | { readonly mm: number };
  /** Joints that hold it shut, and open, by id. */
  readonly shut: readonly string[];
  readonly open: readonly string[];
  /** From where a hand reaches in through it; none where it is for air alone. */
  readonly reachedFrom: 'near' | 'far' | 'both sides' | 'ends' | 'inside' | 'none';
  /** A net keeps insects and animals out while it is open. */
  readonly screened?: boolean;
  /** Free area for air when it is open; of what turns or is moved along its line it follows from that. */
  readonly airM2?: number;
  /** What a person lifts to open it or to take it away; nothing where it moves by itself or weighs nothing. */
  readonly lift?: Pick<MovingPart, 'motion' | 'extraKg' | 'people'> & {
    /** Of a hinged one: its size, and what opens it by itself. */
    readonly hung?: Pick<Hung, 'alongMm' | 'reachMm' | 'pitchDeg' | 'opener'>;
  };
}

/** A part that a person lifts; worked out of the openings. */
export interface MovingPart {
  readonly name: string;
  readonly memberTags: readonly string[];
  readonly sheetTags: readonly string[];
  readonly panelTags: readonly string[];
  readonly motion: 'hinged' | 'carried' | 'rolled';
  /** Bought parts that move with it, kg. */
  readonly extraKg: number;
  /** How many people the gardener means to lift it with. */
  readonly people: 1 | 2;
  /** Of a hinged part: its size along the hinge and from hinge to handle, and what holds it. */
  readonly hung?: Hung;
}

/** How a hinged part hangs. */
export interface Hung {
  readonly alongMm: number;
  readonly reachMm: number;
  /** How steeply it lies when shut: 0 level, 90 hanging. */
  readonly pitchDeg: number;
  readonly latches: Fastening;
  readonly stays: Fastening;
  readonly opener: Opener | undefined;
}

/** So many fastenings of one kind, and what one holds, N. */
export interface Fastening {
  readonly count: number;
  readonly eachN: number;
  /** The question that asks for their number, where it is not the one of all lids. */
  readonly ask?: string;
}

/** A wax opener on a lid: where its arm pushes, from the hinge, and the mass it is made to lift. */
export interface Opener {
  readonly armMm: number;
  readonly liftsKg: number;
  /** What its spring and arm hold down against wind, where it pushes, N. */
  readonly holdsN: number;
  /** As far as it opens the lid, degrees. */
  readonly opensDeg: number;
  /** Whether an insect screen lies in the way of its arm. */
  readonly behindScreen: boolean;
}

/** How warm air is let out; worked out of the openings. */
export interface Ventilation {
  /** Free area of all that opens by itself, and of what a hand opens, m2. */
  readonly aloneM2: number;
  readonly byHandM2: number;
  readonly by: Opening['by'] | 'opener' | 'none';
  /** A net keeps insects and animals out while it is open. */
  readonly screened: boolean;
}

type Pieces = readonly { readonly tag: string }[];

/** What is carried away whole, to reach in and in spring. @param at its middle, where it stands */
export const liftedOff = (name: string, pieces: Pieces, at: Vec3, shut: string, people: 1 | 2): Opening => ({
  name,
  by: 'lift-off',
  tags: pieces.map((p) => p.tag),
  line: [at, [at[0], at[1], at[2] + 1000]],
  travel: { mm: 1000 },
  shut: [shut],
  open: [],
  reachedFrom: 'both sides',
  lift: { motion: 'carried', extraKg: 0, people },
});

/** A side of a sheet, unclipped and lifted so far to reach in. @param foot where its edge lies */
export const sideOf = (sheets: Pieces, foot: readonly [Vec3, Vec3], mm: number): Opening => ({
  name: 'Side of the cover',
  by: 'skirt',
  tags: sheets.map((s) => s.tag),
  line: foot,
  travel: { mm },
  shut: ['clips'],
  open: [],
  reachedFrom: 'both sides',
});

/** A whole cover as a lid: it leans back past upright when it stands open, degrees. */
const WHOLE_OPEN_DEG = 100;

/** A whole cover that turns about a long side of its bed. @param box its outside and its foot, mm */
export const wholeLid = (
  name: string,
  pieces: Pieces,
  box: { readonly x0: number; readonly x1: number; readonly y0: number; readonly y1: number; readonly z0: number },
  hinges: 'far' | 'near',
  people: 1 | 2,
  held: Pick<Opening, 'shut' | 'open'>,
): Opening => {
  const y = hinges === 'far' ? box.y1 : box.y0;
  return {
    name,
    by: 'lid',
    tags: pieces.map((p) => p.tag),
    line: [
      [box.x0, y, box.z0],
      [box.x1, y, box.z0],
    ],
    travel: { deg: WHOLE_OPEN_DEG },
    ...held,
    reachedFrom: hinges === 'far' ? 'near' : 'far',
    lift: {
      motion: 'hinged',
      extraKg: 0,
      people,
      hung: { alongMm: box.x1 - box.x0, reachMm: box.y1 - box.y0, pitchDeg: 0, opener: undefined },
    },
  };
};

/** A lid that stands open for air, degrees: propped half open, or as far as a wax opener pushes it. */
const AIRING_DEG = 45;
/** What a person leaves open for air of what can be opened: a door, a flap, a skirt or a side. */
const LEFT_OPEN = 0.5;

/** Free area for air of an opening, m2: its line by how far it opens. */
export function freeAirM2(o: Opening): number {
  if (o.airM2 !== undefined) return o.airM2;
  const hung = o.lift?.hung;
  if (hung) {
    // The gap in front, and the two triangles at the sides.
    const angle =
      (Math.min(AIRING_DEG, hung.opener?.opensDeg ?? AIRING_DEG, 'deg' in o.travel ? o.travel.deg : 0) * Math.PI) / 180;
    return (hung.alongMm * hung.reachMm * 2 * Math.sin(angle / 2) + hung.reachMm ** 2 * Math.sin(angle)) / 1e6;
  }
  if (o.by === 'lift-off' || !('mm' in o.travel)) return 0;
  const [a, b] = o.line;
  return (LEFT_OPEN * Math.hypot(b[0] - a[0], b[1] - a[1], b[2] - a[2]) * o.travel.mm) / 1e6;
}

/** Whether it lets air out with no hand: it stands open, or wax or a thermostat moves it. */
export const opensAlone = (o: Opening): boolean =>
  o.by === 'louvre' || o.by === 'open' || o.lift?.hung?.opener !== undefined;
