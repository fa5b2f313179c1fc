import type { Material } from './types';

/** Every material that bars are made of. */
export const MATERIALS: readonly Material[] = [
  {
    key: 'spruce',
    name: 'spruce or pine',
    densityKgPerM3: 450,
    eGPa: 9,
    longTermFactor: 0.6,
    limitMPa: 6,
    source: 'Trade figures for rough garden stock: E 8 to 10 GPa, design bending stress about 6 MPa',
  },
  {
    key: 'treated',
    name: 'treated pine',
    densityKgPerM3: 600,
    eGPa: 9,
    longTermFactor: 0.6,
    limitMPa: 6,
    source: 'As spruce; 600 kg/m3 when wet from treatment',
  },
  {
    key: 'pvc',
    name: 'PVC',
    densityKgPerM3: 1400,
    eGPa: 2.76,
    longTermFactor: 0.5,
    limitMPa: null,
    source: 'Trade figures: E 2.76 GPa at 23 C, half of it after weeks under load',
  },
  {
    key: 'pe',
    name: 'polyethylene',
    densityKgPerM3: 940,
    eGPa: 0.8,
    longTermFactor: 0.5,
    limitMPa: null,
    source: 'Trade figure: E 0.8 GPa for irrigation tube',
  },
  {
    key: 'wire',
    name: 'drawn wire',
    densityKgPerM3: 7850,
    eGPa: 200,
    longTermFactor: 1,
    limitMPa: 450,
    source: 'Plain wire of welded reinforcement, ASTM A1064: yield 65 ksi',
  },
  {
    key: 'steel',
    name: 'steel',
    densityKgPerM3: 7850,
    eGPa: 200,
    longTermFactor: 1,
    limitMPa: 240,
    source: 'Mild steel: E 200 GPa, yield 240 MPa',
  },
];
