/** Cautions in the words of the trade; each is shown where its work begins. */
export const CAUTIONS = {
  bend: 'A bent pipe that slips hits the face: wear eye protection, block the feet, take two people for long pipe, and bend in the warm.',
  pvcDust: 'Saw dust of PVC: cut outdoors with a mask, or use a shear cutter.',
  treated:
    'Treated wood: gloves and a mask when cutting, and never burn it. Only modern treatment near food; no old sleepers.',
  saw: 'Sawing: eye protection, both pieces clamped, and the cord behind you.',
  knife: 'Cut film away from your body, and never against the bed or your knee.',
  rods: 'Have buried lines located before you drive a rod or dig. Cap every rod end that shows.',
  longPipe: 'Long pipe: look up for overhead lines before you stand it on end.',
  glass:
    'Old windows: the paint may hold lead, so do not sand it dry. Glass breaks over a bed and over a child: safety film on it, or plastic glazing in its place.',
  ladder: 'Ladders: on level ground, somebody at the foot, and not in wind.',
  heat: 'No burning heater or barbecue inside. Electric warmth: outdoor-rated, on a residual-current protected outlet, clear of the film.',
  codes:
    'Local codes, neighbours’ lines, setbacks and permits come first. A person walks into this: ask the building office and a licensed engineer.',
  loaded: 'Nobody inside a snow-loaded house; brush early, from outside.',
  wall: 'Before you drill a wall find the cables and pipes in it, and ask whoever owns it. Eye protection, and a mask against the dust.',
  wire: 'A sprung wire end finds an eye: wear eye protection and gloves, and hold both ends when you cut.',
  lid: 'Stay on both sides of an open lid, keep fingers off the edge, and no child under a lid that is not latched.',
  windyFilm: 'Film is a sail: unroll it on a still day.',
  snow: 'Brush snow early and from outside. On a wind warning shut, latch and weight the cover, or strip it.',
} as const;
