import { useState } from 'react';
import { View } from 'react-native';
import type { Finding } from '@/core/rules';
import { findingMend, findingSentence, SEVERITY_WORD } from '@/core/rules/wording';
import { ruleOf } from '@/core/rules/records';
import type { RuleKey } from '@/core/rules/records';
import { inDegrees } from '@/features/units';
import { useTemperatureUnit } from '@/features/useTemperature';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { Text } from '@/ui/Text';
import { about } from '@/ui/time/words';
import { space } from '@/ui/tokens';
import { OverruleDialog } from './OverruleDialog';

interface Props {
  findings: Finding[];
  nowMs: number;
  /** Present where the choice is made: give a reason to go against a rule, or take it back. */
  onOverrule?: (rule: RuleKey, reason: string | null) => void;
}

/** What the compatibility rules say here: what stops first, what is only to know folded away. */
export function FindingNotices({ findings, nowMs, onOverrule }: Props) {
  const [open, setOpen] = useState(false);
  const [asking, setAsking] = useState<RuleKey | null>(null);
  const loud = findings.filter((f) => f.severity !== 'note');
  const quiet = findings.filter((f) => f.severity === 'note');
  if (findings.length === 0) return null;
  return (
    <View role="group" aria-label="What the rules say">
      {loud.map((finding) => (
        <FindingNotice
          key={finding.rule}
          finding={finding}
          nowMs={nowMs}
          {...(onOverrule
            ? {
                onAsk: () => setAsking(finding.rule),
                onWithdraw: () => onOverrule(finding.rule, null),
              }
            : {})}
        />
      ))}
      {quiet.length > 0 ? (
        <Action
          kind="quiet"
          title={open ? 'Hide what is good to know' : `Good to know: ${quiet.length}`}
          onPress={() => setOpen(!open)}
          style={{ alignSelf: 'flex-start' }}
        />
      ) : null}
      {open
        ? quiet.map((finding) => (
            <FindingNotice key={finding.rule} finding={finding} nowMs={nowMs} />
          ))
        : null}
      {asking && onOverrule ? (
        <OverruleDialog
          rule={asking}
          onClose={() => setAsking(null)}
          onReason={(reason) => {
            onOverrule(asking, reason);
            setAsking(null);
          }}
        />
      ) : null}
    </View>
  );
}

function FindingNotice({
  finding,
  nowMs,
  onAsk,
  onWithdraw,
}: {
  finding: Finding;
  nowMs: number;
  onAsk?: () => void;
  onWithdraw?: () => void;
}) {
  const { severity, overruled, untilMs } = finding;
  const unit = useTemperatureUnit();
  const refused = overruled === null && (severity === 'forbid' || severity === 'strong');
  return (
    <Notice
      tone={refused ? 'refusal' : 'note'}
      action={
        <View style={{ gap: space.xs }}>
          <Text size="small" tone="ink2">
            {inDegrees(findingMend(finding), unit)}
            {untilMs !== null && untilMs > nowMs ? ` From ${about(untilMs, nowMs)}.` : ''}
            {` (${ruleOf(finding.rule).source})`}
          </Text>
          {overruled !== null ? (
            <Text size="small" strong>
              {`Overruled: ${overruled}`}
            </Text>
          ) : null}
          {onAsk && overruled === null ? (
            <Action
              kind="quiet"
              title="Do it all the same"
              onPress={onAsk}
              style={{ alignSelf: 'flex-start' }}
            />
          ) : null}
          {onWithdraw && overruled !== null ? (
            <Action
              kind="quiet"
              title="Keep to the rule"
              onPress={onWithdraw}
              style={{ alignSelf: 'flex-start' }}
            />
          ) : null}
        </View>
      }
    >
      {inDegrees(`${SEVERITY_WORD[severity]}. ${findingSentence(finding)}`, unit).replace(
        /^./,
        (c) => c.toUpperCase(),
      )}
    </Notice>
  );
}
