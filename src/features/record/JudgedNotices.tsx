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
      {told.around.map((spot) => (
        <Notice key={spot.film.key}>{aroundWords(spot, nowMs)}</Notice>
      ))}
      <FindingNotices
        findings={told.findings}
        nowMs={nowMs}
        {...(onOverrule ? { onOverrule } : {})}
      />
    </>
  );
}

const takes = ({ windows }: Layer, nowMs: number): string => {
  const dry = windows?.touchDry.p75;
  return dry ? ` It takes a coat from ${about(dry, nowMs)}.` : '';
};

const aroundWords = (spot: Layer, nowMs: number): string =>
  `${spot.film.name}, a spot here, is not dry by then: go round it.${takes(spot, nowMs)}`;

/** A stroke would lift what lies there. */
function liftWords(lifts: Layer, name: string, nowMs: number): string {
  return `${lifts.film.name} is not dry by then: a stroke of ${name.toLowerCase()} would lift it.${takes(lifts, nowMs)}`;
}
