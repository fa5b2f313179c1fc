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
