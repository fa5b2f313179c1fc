/** Vent units that are bought as they are: the hole that each wants, mm, and the free area it opens, m2. */
export const VENT_UNITS = {
  louvre: {
    widthMm: 320,
    heightMm: 320,
    freeM2: 0.06,
    source: 'A small thermostat louvre for greenhouses; about six tenths of its hole is free',
  },
} as const;
/** Of a hole with its flap propped open or a fly screen over it, what is free. Source: our own middle figure. */
export const FLAP_FREE = 0.7;

/** What opens vents by itself, by the air inside, C. */
export const SELF_OPENING = {
  /** Pushes in a straight line from the one temperature to the other. */
  wax: { startsC: 18, fullC: 30, source: 'Usual wax cylinders: start 15 to 25 C by a nut, full 12 C on' },
  /** Opens at the one, shuts at the other. */
  louvre: { opensC: 24, shutsC: 18, source: 'Usual thermostat louvres' },
} as const;
