import { SHIPPED } from '../catalog/catalog';
import type { BuildSite } from '../site/buildSite';
import { type Bed, MEASURE_IDS, squareBed } from '../site/bed';
import { survey } from '../site/survey';
import { hingedHoopLid } from '../cover/families/hingedHoopLid';
import { slopedColdFrame } from '../cover/families/slopedColdFrame';
import { stakedTunnel } from '../cover/families/stakedTunnel';
import { wireTunnel } from '../cover/families/wireTunnel';
import { MM_PER_INCH } from '../base/length';
import { type Garden, emptyGarden, newWork } from './garden';

const inch = (x: number): number => Math.round(x * MM_PER_INCH * 1000) / 1000;

/** A bed of the demo with the stock of its shops, in its wind. */
export const demoSite = (bed: Bed): BuildSite => ({
  bed,
  survey: survey(bed),
  windy: true,
  market: 'imperial',
  catalog: SHIPPED,
});

/** Quillet Hollow: a made-up household in a made-up mountain village with deep wet snow. */
export function demoGarden(): Garden {
  const long: Bed = squareBed(
    'long',
    'Long bed',
    inch(128),
    inch(44),
    { heightMm: inch(11), thicknessMm: inch(1.5) },
    { xMm: 0, yMm: 0 },
  );
  const metric: Bed = {
    ...squareBed('metric', 'Metric bed', 2400, 1200, { heightMm: 300, thicknessMm: 38 }, { xMm: 4400, yMm: 0 }),
    soil: 'soft',
  };
  const crooked: Bed = {
    ...squareBed(
      'crooked',
      'Crooked bed',
      inch(96),
      inch(48),
      { heightMm: inch(11.25), thicknessMm: inch(1.5) },
      { xMm: 0, yMm: 2600 },
    ),
    outside: { nearMm: inch(96), farMm: inch(96), leftMm: inch(48.0625), rightMm: inch(48.0625) },
    diagonals: {
      risingMm: inch(Math.round(Math.hypot(96 + 2.25, 48) * 16) / 16),
      fallingMm: inch(Math.round(Math.hypot(96 - 2.25, 48) * 16) / 16),
    },
    inside: { lengthMm: inch(93), widthMm: inch(45) },
    bearingDeg: 84,
  };
  const wallBed: Bed = {
    ...squareBed(
      'wall',
      'South wall bed',
      inch(72),
      inch(30),
      { heightMm: inch(16), thicknessMm: inch(1.5) },
      { xMm: 4400, yMm: 2600 },
    ),
    drops: { nearLeft: 0, nearRight: inch(1.25), farRight: inch(1.5), farLeft: inch(0.25) },
    soilBelowRimMm: inch(3),
    soil: 'clay',
  };
  return {
    ...emptyGarden('Quillet Hollow'),
    site: {
      place: 'Quillet Hollow',
      latitudeDeg: 44.1,
      longitudeDeg: -72.6,
      elevationM: 380,
      snow: { by: 'depth', depthMm: inch(6), kind: 'wet' },
      exposure: 'normal',
      practice: 'asce',
      snowFactors: { exposure: null, thermal: null, importance: null },
      gustMPerS: 31,
      windFromDeg: 315,
      rough: [],
      timeZone: null,
      frost: { lastSpring: '05-22', firstAutumn: '09-20', spreadDays: 10 },
      noon: { date: '2027-03-01', outsideC: 2, allowedRiseC: 10 },
    },
    beds: [long, metric, crooked, wallBed].map((bed) => ({ ...bed, measured: [...MEASURE_IDS] })),
    landmarks: [
      {
        id: 'house',
        name: 'House wall',
        kind: 'wall',
        at: { xMm: 3700, yMm: 3500 },
        bearingDeg: 90,
        lengthMm: inch(204),
        widthMm: inch(12),
        heightMm: inch(108),
      },
      {
        id: 'hedge',
        name: 'Hornbeam hedge',
        kind: 'hedge',
        at: { xMm: -700, yMm: -300 },
        bearingDeg: 0,
        lengthMm: inch(174),
        widthMm: inch(24),
        heightMm: inch(48),
      },
      {
        id: 'pear',
        name: 'Pear tree',
        kind: 'tree',
        at: { xMm: 7900, yMm: 700 },
        bearingDeg: 90,
        lengthMm: inch(96),
        widthMm: inch(96),
        heightMm: inch(156),
      },
    ],
    covers: [
      {
        id: 'winter-lid',
        name: 'Winter greens lid',
        bedId: 'long',
        family: 'hinged-hoop-lid',
        answers: {
          ...hingedHoopLid.defaults(demoSite(long)),
          shape: { by: 'length', lengthMm: inch(76) },
          latches: 5,
          crop: 'mizuna',
          rowFromEdgeMm: inch(5),
        },
        ...newWork(),
      },
      {
        id: 'salad-tunnel',
        name: 'Salad tunnel',
        bedId: 'metric',
        family: 'staked-tunnel',
        answers: { ...stakedTunnel.defaults(demoSite(metric)), cover: 'fabric-30', ridge: 'rope', crop: 'spinach' },
        ...newWork(),
      },
      {
        id: 'spring-tunnel',
        name: 'Spring tunnel',
        bedId: 'crooked',
        family: 'staked-tunnel',
        answers: {
          ...stakedTunnel.defaults(demoSite(crooked)),
          extent: { kind: 'part', startMm: 0, lengthMm: inch(60) },
        },
        ...newWork(),
      },
      {
        id: 'window-frame',
        name: 'Lettuce frame',
        bedId: 'crooked',
        family: 'sloped-cold-frame',
        answers: {
          ...slopedColdFrame.defaults(demoSite(crooked)),
          extent: { kind: 'part', startMm: inch(60), lengthMm: inch(36) },
          lids: 1,
          crop: 'corn-salad',
        },
        ...newWork(),
      },
      {
        id: 'frost-tunnel',
        name: 'Frost tunnel',
        bedId: 'wall',
        family: 'wire-tunnel',
        answers: { ...wireTunnel.defaults(demoSite(wallBed)), cover: 'fabric-30', crop: 'claytonia' },
        ...newWork(),
      },
    ],
    shelf: [
      {
        id: 'shelf-1',
        sectionKey: 'pvc-1/2',
        lengthMm: inch(88),
        quantity: 2,
        condition: 'sound',
        where: 'shed rafters',
      },
      { id: 'shelf-2', sectionKey: '2x4', lengthMm: inch(44.5), quantity: 1, condition: 'sound', where: 'lean-to' },
    ],
    owned: { 'screw-3': 40, handle: 1 },
  };
}
