import { family } from '../family';
import { wireTunnelParameters, widestMm } from './answers';
import { assembleWireTunnel } from './assemble';

/** Hoops of stiff wire over a small span, for fabric and nets only. */
export const wireTunnel = family({
  key: 'wire-tunnel',
  name: 'Wire tunnel',
  sentence: 'Hoops of stiff wire and a light fabric: the cheapest frost blanket, for low crops and no snow.',
  rank: 20,
  answers: wireTunnelParameters,
  // A thinner wire stands over a narrower span.
  settle: (now, id, { catalog }) => {
    const wire = id === 'pipe' ? catalog.bar.get(String(now['pipe'])) : undefined;
    const widest = wire && widestMm(wire);
    if (!widest) return now;
    const span = now['spanMm'];
    return { ...now, spanMm: typeof span === 'number' ? Math.min(span, widest) : widest };
  },
  assemble: assembleWireTunnel,
});
