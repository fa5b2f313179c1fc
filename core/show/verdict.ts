import { type Check, type CheckStatus, checkStatus } from '../judge/strength/check';

/** What all checks of a cover come to: a line, the checks that want something done, the others. */
interface PlanVerdict {
  readonly line: string;
  readonly open: readonly Check[];
  readonly settled: readonly Check[];
}

/** Sums up the checks of a cover. What is not judged is never said to hold. */
export function planVerdict(checks: readonly Check[]): PlanVerdict {
  const of = (status: CheckStatus): readonly Check[] => checks.filter((c) => checkStatus(c) === status);
  const [fails, unjudged, tight, heed] = [of('fails'), of('unjudged'), of('tight'), of('heed')];
  const many = ({ length: n }: readonly Check[], one: string, more: string): string => `${n} ${n === 1 ? one : more}`;
  const open = [...fails, ...unjudged, ...tight, ...heed];
  return {
    line:
      fails.length > 0
        ? `It does not hold yet: ${many(fails, 'check fails', 'checks fail')}. Mend that before you build.`
        : unjudged.length > 0
          ? `No check fails, but ${many(unjudged, 'thing is', 'things are')} not judged.`
          : tight.length > 0
            ? `It holds, but ${many(tight, 'check is', 'checks are')} tight.`
            : 'It holds, with room to spare in every check.',
    open,
    settled: checks.filter((c) => !open.includes(c)),
  };
}
