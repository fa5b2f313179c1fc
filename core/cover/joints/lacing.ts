import { type JointKind, said } from './kind';

/** A rope over a flat side or a whole sheet, counted in metres; where it is laced, a screw at both ends of each crossing. */
export const lacing: JointKind = {
  name: ['metre of rope', 'metres of rope'],
  takes: (j, n) => [
    { itemKey: 'rope', count: n },
    { itemKey: 'screw-2-1/2', count: said(j, 'screws', 2) * j.places.length },
  ],
  tools: ['knife'],
  minutes: 0.6,
  symbol: 'line',
  divides: 'across',
};
