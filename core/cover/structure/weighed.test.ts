import { SHIPPED, section, stiffSheet } from '../../catalog/catalog';
import { demoGarden } from '../../garden/demo';
import { layoutCover } from '../../layout';
import { weighed } from './weighed';

const laid = (family: string) => {
  const garden = demoGarden();
  const cover = garden.covers.find((c) => c.family === family);
  const made = cover && layoutCover(garden, cover);
  if (!made?.ok) throw new Error(family);
  return made.value.assembly;
};

test('a hoop weighs its pipe, what is inside it and its share of the sheet, worked by hand', () => {
  const a = laid('hinged-hoop-lid');
  const [arch] = a.arches;
  const [sheet] = a.sheets;
  if (!arch || !sheet) throw new Error('no hoops');
  // 1/2 PVC: pi/4 (21.336² - 15.799²) mm² x 1400e-9 kg; film by its catalogue, as wide as hoops stand apart.
  const pipe = (Math.PI / 4) * (21.336 ** 2 - 15.799 ** 2) * 1.4e-6;
  const asked = {
    ...a,
    sheets: [sheet],
    spans: [],
    arches: [{ ...arch, section: section(SHIPPED, 'pvc-1/2'), spacingMm: 500 }],
  };
  const alone = weighed(asked).arches[0]?.weighsNPerMm ?? NaN;
  expect(alone).toBeCloseTo(9.80665 * (pipe + sheet.cover.kgPerM2 * 0.0005), 5);
  // A conduit inside: pi/4 (17.93² - 15.80²) x 7850e-9 kg more.
  const cored = weighed({
    ...asked,
    arches: [{ ...asked.arches[0], core: section(SHIPPED, 'emt-1/2') } as typeof arch],
  });
  expect((cored.arches[0]?.weighsNPerMm ?? NaN) - alone).toBeCloseTo(
    9.80665 * (Math.PI / 4) * (17.93 ** 2 - 15.8 ** 2) * 7.85e-6,
    4,
  );
  // The same stuff on an end is not on the hoop twice.
  expect(weighed({ ...asked, sheets: [sheet, sheet] }).arches[0]?.weighsNPerMm).toBe(alone);
});

test('a bar weighs itself and the stiff sheet on it', () => {
  const a = laid('sloped-cold-frame');
  const [beam] = a.beams;
  if (!beam) throw new Error('no bars');
  const sheet = stiffSheet(SHIPPED, 'twin-wall-6');
  const made = weighed({
    ...a,
    sheets: [],
    spans: [{ sheet, spanMm: 500, slopeDeg: 10 }],
    beams: [{ ...beam, section: section(SHIPPED, '2x2'), loadWidthMm: 600 }],
  });
  // 38.1² mm² of 450 kg/m³ spruce, and .6 m of sheet.
  expect(made.beams[0]?.weighsNPerMm).toBeCloseTo(9.80665 * (38.1 ** 2 * 4.5e-7 + sheet.kgPerM2 * 0.0006), 6);
});
