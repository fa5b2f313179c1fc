/** Cautions in the words of the trade; each is shown where its work begins. */
export const CAUTIONS = {
  bend: 'A bent pipe that slips hits the face: wear eye protection, block the feet, take two people for long pipe, and bend in the warm.',
  pvcDust: 'Saw dust of PVC: cut outdoors with a mask, or use a shear cutter.',
  treated:
    'Treated wood: gloves and a mask when cutting, and never burn it. Only modern treatment near food; no old sleepers.',
  rods: 'Have buried lines located before you drive a rod or dig. Cap every rod end that shows.',
  longPipe: 'Twenty-foot pipe: look up for overhead lines before you stand it on end.',
  lid: 'Stay on both sides of an open lid, keep fingers off the edge, and no child under a lid that is not latched.',
  windyFilm: 'Film is a sail: unroll it on a still day.',
  snow: 'Brush snow early and from outside. On a wind warning shut, latch and weight the cover, or strip it.',
} as const;
