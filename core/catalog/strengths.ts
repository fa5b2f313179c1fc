import type { Strength } from './types';

const OWN = 'Our own middle figure for garden work; soft soil and old wood hold less';

const holds = (key: string, name: string, holdsN: number, source = OWN): Strength => ({ key, name, holdsN, source });

/** What one joint of each kind holds against lifting: every figure that ships with the program. */
export const STRENGTHS: readonly Strength[] = [
  holds('strap', 'pipe strap on wood', 300),
  holds('rod', 'pipe over a driven rod', 60),
  holds('pipe-in-soil', 'pipe end in the soil', 40),
  holds('wire-in-soil', 'wire leg in the soil', 20),
  holds('prong', 'prong of mesh in the soil', 15),
  holds('hinge', 'butt hinge', 900),
  holds('latch', 'hook and eye latch', 450),
  holds('stay', 'chain stay', 700),
  holds('opener', 'wax opener, its spring and arm where it pushes', 120, 'Our own low figure: read the box'),
  holds('hook', 'cabin hook', 350),
  holds('bracket', 'angle bracket', 400),
  holds('bag', 'bag of 5 kg', 49, 'Its weight'),
  holds('brick', 'brick', 22, 'Its weight'),
  holds('anchor', 'screw-in ground anchor', 1300),
  holds(
    'wall-anchor',
    'anchor or coach screw in a wall',
    900,
    'Our own low figure: sound brick or a stud; crumbling joints hold nothing',
  ),
  holds(
    'wall-bolt',
    'bolt through a board wall',
    2500,
    'Our own low figure: a washer of 38 mm pressed into spruce across the grain at 2.3 MPa',
  ),
  holds(
    'batten-screw',
    'screw through a batten over film or fabric on a wall',
    150,
    'Our own low figure: what 30 cm of film bears at its edge before it tears',
  ),
  holds('post', 'post, for each 600 mm in the ground', 900, `${OWN}; in loam`),
];
