/** What a member is made of, with the figures that strength and weight need. */
export interface Material {
  readonly name: string;
  readonly densityKgPerM3: number;
  readonly eGPa: number;
  /** Stiffness left after weeks under load, as a part of E. */
  readonly longTermFactor: number;
  /** Design bending stress for timber, yield for steel; plastics are limited by fibre strain instead. */
  readonly limitMPa: number | null;
  readonly source: string;
}

export const MATERIALS = {
  spruce: {
    name: 'spruce or pine',
    densityKgPerM3: 450,
    eGPa: 9,
    longTermFactor: 0.6,
    limitMPa: 6,
    source: 'Trade figures for rough garden stock: E 8 to 10 GPa, design bending stress about 6 MPa',
  },
  treated: {
    name: 'treated pine',
    densityKgPerM3: 600,
    eGPa: 9,
    longTermFactor: 0.6,
    limitMPa: 6,
    source: 'As spruce; 600 kg/m3 when wet from treatment',
  },
  pvc: {
    name: 'PVC',
    densityKgPerM3: 1400,
    eGPa: 2.76,
    longTermFactor: 0.5,
    limitMPa: null,
    source: 'Trade figures: E 2.76 GPa at 23 C, half of it after weeks under load',
  },
  pe: {
    name: 'polyethylene',
    densityKgPerM3: 940,
    eGPa: 0.8,
    longTermFactor: 0.5,
    limitMPa: null,
    source: 'Trade figure: E 0.8 GPa for irrigation tube',
  },
  wire: {
    name: 'drawn wire',
    densityKgPerM3: 7850,
    eGPa: 200,
    longTermFactor: 1,
    limitMPa: 450,
    source: 'Plain wire of welded reinforcement, ASTM A1064: yield 65 ksi',
  },
  steel: {
    name: 'steel',
    densityKgPerM3: 7850,
    eGPa: 200,
    longTermFactor: 1,
    limitMPa: 240,
    source: 'Mild steel: E 200 GPa, yield 240 MPa',
  },
} as const satisfies Record<string, Material>;

export type MaterialKey = keyof typeof MATERIALS;
