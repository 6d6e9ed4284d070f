import type { Layer } from '@/core/painting';
import type { RuleKey } from '@/core/rules/records';
import type { ToldLaying } from '@/core/tell/laying';
import { FindingNotices } from '@/features/findings/FindingNotices';
import { Notice } from '@/ui/Notice';
import { about } from '@/ui/time/words';

/** What is to be said of paint before it is entered, where the choice is made. */
export function JudgedNotices({
  told,
  name,
  intoWet = false,
  nowMs,
  onOverrule,
}: {
  told: ToldLaying;
  /** What goes on. */
  name: string;
  /** The painter says that it goes into the wet: then nothing is lifted. */
  intoWet?: boolean;
  nowMs: number;
  onOverrule?: (rule: RuleKey, reason: string | null) => void;
}) {
  return (
    <>
      {told.lifts && !intoWet ? (
        <Notice tone="refusal">{liftWords(told.lifts, name, nowMs)}</Notice>
      ) : null}
      <FindingNotices
        findings={told.findings}
        nowMs={nowMs}
        {...(onOverrule ? { onOverrule } : {})}
      />
    </>
  );
}

/** A stroke would lift what lies there. */
function liftWords(lifts: Layer, name: string, nowMs: number): string {
  const dry = lifts.windows?.touchDry.p75;
  return `${lifts.film.name} is not dry by then: a stroke of ${name.toLowerCase()} would lift it.${dry ? ` It takes a coat from ${about(dry, nowMs)}.` : ''}`;
}
