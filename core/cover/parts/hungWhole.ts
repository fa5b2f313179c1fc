/** A whole cover hinged to its bed along a long side, so that it opens like a lid: hinges, handles, latches, chain stays and a prop. */
import { amount, phrase } from '../../base/figure';
import type { Vec3 } from '../../base/geometry';
import { MM_PER_INCH } from '../../base/length';
import { thicknessMm } from '../../catalog/sections';
import { type BuildSite, stock } from '../../site/buildSite';
import { type ParameterWords, askedWhen, choice } from '../answers/parameter';
import { latches, people, stays } from '../answers/skin';
import { piece } from '../assembly/pieces';
import type { Stage } from '../assembly/types';
import { type Opening, wholeLid } from '../assembly/openings';
import { CAUTIONS } from '../joints/cautions';
import { evenly, joint } from '../joints';
import { MINUTES, sayCount, sayCounts, countKind, stage } from '../guide/stage';
import type { SetDown } from './frameStages';
import { hingeCount, HINGE_FROM_END_MM } from '../joints/hingeCount';

type Tagged = readonly { readonly tag: string }[];

/** Longer than this it has a handle and a stay near each end, mm. */
const LONG_MM = 96 * MM_PER_INCH;
const PROP = '1x2';
/** A prop holds the front edge so far up, as a part of the width: about a third of the way open. */
const PROP_OF_WIDTH = 0.55;
const PROP_MM = [300, 900] as const;

/** How the whole is held to its bed: as the family has it, or hinged along a long side. */
export function mountAnswers<K extends string>(held: ParameterWords<K>, first: NoInfer<K> | 'hinged') {
  const hinged = { mount: 'hinged' };
  const mount = choice<K | 'hinged'>(
    'Held to the bed',
    {
      ...held,
      hinged: ['Hinged', 'Opens like a lid along a long side: chain stays, a prop for half open, handles.'],
    } as ParameterWords<K | 'hinged'>,
    first,
  );
  const side = choice(
    'Hinged on',
    { far: ['Far side', 'You open it from the near side.'], near: ['Near side', 'You open it from the far side.'] },
    'far',
    { when: hinged },
  );
  return {
    // Gardens from before it was asked were held as the family had it.
    mount: mount,
    hinges: side,
    latches: askedWhen(latches('Latches', 12), hinged),
    stays: askedWhen(stays('Stays', 8), hinged),
    people: askedWhen(people('2'), hinged),
  };
}

/** What is answered of a cover that is hinged as a whole. */
interface MountAnswers {
  readonly hinges: 'far' | 'near';
  readonly latches: number | null;
  readonly stays: number | null;
  readonly people: '1' | '2';
  /** The questions that ask for latches and stays, where they are not the cover's own. */
  readonly asks?: { readonly latches: string; readonly stays: string };
}

/** Where it stands, mm, and the pieces that hinges, handles and stays are screwed to. */
export interface WholePlace {
  readonly x0: number;
  readonly x1: number;
  readonly y0: number;
  readonly y1: number;
  readonly z0: number;
  readonly along: Readonly<Record<'near' | 'far', Tagged>>;
  readonly ends: Tagged;
}

interface HungWhole {
  readonly opening: Opening;
  readonly stage: Stage;
}

/**
 * Hangs the whole cover on hinges along a long side of its bed.
 * @param name what it is called: "Frame", "Cover"
 * @param moving every piece of it
 * @param before what is done before it is set on the bed
 */
export function hangWhole(
  a: MountAnswers,
  name: string,
  moving: Tagged,
  p: WholePlace,
  site: BuildSite,
  before: SetDown,
): HungWhole {
  const length = p.x1 - p.x0;
  const width = p.y1 - p.y0;
  const far = a.hinges === 'far';
  const [hingeY, frontY] = far ? [p.y1, p.y0] : [p.y0, p.y1];
  const front = far ? p.along.near : p.along.far;
  const many = length > LONG_MM ? 2 : 1;
  const along = (y: number, count: number, inset = HINGE_FROM_END_MM): readonly Vec3[] =>
    evenly([p.x0 + inset, y, p.z0], [p.x1 - inset, y, p.z0], count);
  const section = stock(site, PROP);
  const long = Math.min(PROP_MM[1], Math.max(PROP_MM[0], width * PROP_OF_WIDTH), length - 100);
  const out = (far ? -1 : 1) * (thicknessMm(section) / 2 + 2);
  // Hung on the bed's outside while it is not in use.
  const z = Math.max(thicknessMm(section), p.z0 - 40);
  const prop = piece(
    'V1',
    'Prop, notched at both ends',
    section,
    [p.x0 + 50, frontY + out, z],
    [p.x0 + 50 + long, frontY + out, z],
    [0, 0, 1],
  );
  const latched = a.latches ?? (site.windy ? 2 : 1);
  const stayed = a.stays ?? many;
  const joints = [
    ...joint(
      'hinge',
      'whole hinges',
      `${name} to the bed`,
      far ? p.along.far : p.along.near,
      along(hingeY, hingeCount(length)),
    ),
    ...joint(
      'handle',
      'whole handles',
      `At the front of the ${name.toLowerCase()}`,
      front,
      along(frontY, many, length / 4),
    ),
    ...joint('latch', 'whole latches', `${name} to the bed, in front`, front, along(frontY, latched), {
      ask: a.asks?.latches ?? 'latches',
    }),
    ...joint(
      'stay',
      'whole stays',
      `Hold the ${name.toLowerCase()} open`,
      p.ends,
      along((p.y0 + p.y1) / 2, stayed, 20),
      { ask: a.asks?.stays ?? 'stays' },
    ),
    ...joint(
      'prop',
      'whole prop',
      'Holds it half open',
      [prop],
      [prop.shape.kind === 'straight' ? prop.shape.from : [0, 0, 0]],
    ),
  ];
  return {
    opening: wholeLid(name, moving, p, a.hinges, a.people === '2' ? 2 : 1, {
      shut: ['whole latches'],
      open: ['whole stays', 'whole prop'],
    }),
    stage: stage({
      id: 'hang whole',
      title: `Set the ${name.toLowerCase()} on the bed and hang it`,
      view: 'end',
      pieces: [...before.pieces, prop],
      work: [
        ...before.work,
        'Two people: set it on the bed, flush all round.',
        phrase`Screw ${sayCount(countKind(joints, 'hinge'), 'hinge')} along the ${a.hinges} side, the outer two ${amount(HINGE_FROM_END_MM, 'byEye')} from the ends. Rust-proof ones: they stay out all year.`,
        `In front ${sayCounts(joints, 'handle', 'latch')}${stayed > 0 ? `; ${sayCounts(joints, 'stay')} from the ends to the bed, so that it stops a little past upright` : ''}.`,
        `Saw a notch across both ends of ${prop.tag}: one sits on the wall, the other under the front, and it stands half open.`,
      ],
      tools: ['level', 'hand saw'],
      joints: [...before.joints, ...joints],
      checks: [
        'It swings free and shuts flat',
        stayed > 0 && 'It stays open by itself',
        'The prop does not slip when the front is shaken',
        latched > 0 && 'Latched, it cannot be lifted',
      ],
      cautions: [CAUTIONS.lid, CAUTIONS.snow],
      minutes: MINUTES.start,
    }),
  };
}
