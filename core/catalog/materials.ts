import type { Material, Plastic, Wood } from './types';

const SOFTWOOD: Wood = {
  kind: 'wood',
  bendingMPa: 6,
  // Source: ANSI/AWC NDS, table 2.3.2, load duration: two months of snow, ten minutes of wind.
  snowFactor: 1.15,
  gustFactor: 1.6,
  longTermFactor: 0.6,
  rots: true,
};

/** Pipe that is bent cold. Trade practice: 1.5, 2.5 and 3.5 % at 20 C; each one point lower below 5 C. */
const BENT_COLD: Pick<Plastic, 'strainPercent' | 'brittleBelowC' | 'brittlePercent' | 'gustPercent'> = {
  strainPercent: [1.5, 2.5, 3.5],
  brittleBelowC: 5,
  brittlePercent: 1,
  // Our own figure, between what bends hard for good and yield.
  gustPercent: 5,
};

/** Every material that bars are made of. */
export const MATERIALS: readonly Material[] = [
  {
    key: 'spruce',
    name: 'spruce or pine',
    densityKgPerM3: 450,
    eGPa: 9,
    behaviour: SOFTWOOD,
    spreads: ['stiffness wood', 'limit wood'],
    source: 'Trade figures for rough garden stock: E 8 to 10 GPa, design bending stress about 6 MPa',
  },
  {
    key: 'treated',
    name: 'treated pine',
    densityKgPerM3: 600,
    eGPa: 9,
    behaviour: { ...SOFTWOOD, rots: false },
    dust: 'preservative',
    spreads: ['stiffness wood', 'limit wood'],
    source: 'As spruce; 600 kg/m3 when wet from treatment',
  },
  {
    key: 'pvc',
    name: 'PVC',
    densityKgPerM3: 1400,
    eGPa: 2.76,
    behaviour: { kind: 'plastic', longTermFactor: 0.5, softensPerC: 0.008, ...BENT_COLD, wearsFilm: true },
    dust: 'chlorine',
    spreads: ['stiffness pvc', 'limit plastic'],
    source: 'Trade figures: E 2.76 GPa at 23 C, half of it after weeks under load; 0.73 of it at 60 C',
  },
  {
    key: 'pe',
    name: 'polyethylene',
    densityKgPerM3: 940,
    eGPa: 0.8,
    behaviour: {
      kind: 'plastic',
      longTermFactor: 0.5,
      softensPerC: 0.02,
      ...BENT_COLD,
      brittlePercent: 0,
      wearsFilm: false,
    },
    spreads: ['stiffness pe', 'limit plastic'],
    source: 'Trade figures: E 0.8 GPa for irrigation tube at 23 C, 0.58 of it at 49 C',
  },
  {
    key: 'wire',
    name: 'drawn wire',
    densityKgPerM3: 7850,
    eGPa: 200,
    behaviour: { kind: 'metal', yieldMPa: 450 },
    spreads: ['stiffness steel', 'limit steel'],
    source: 'Plain wire of welded reinforcement, ASTM A1064: yield 65 ksi',
  },
  {
    key: 'steel',
    name: 'steel',
    densityKgPerM3: 7850,
    eGPa: 200,
    behaviour: { kind: 'metal', yieldMPa: 240 },
    spreads: ['stiffness steel', 'limit steel'],
    source: 'Mild steel: E 200 GPa, yield 240 MPa',
  },
];
