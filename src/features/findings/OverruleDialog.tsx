import { View } from 'react-native';
import { overruleSchema } from '@/core/painting/schema';
import { ruleOf } from '@/core/rules/records';
import type { RuleKey } from '@/core/rules/records';
import { useText } from '@/forms/useText';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Sheet } from '@/ui/Sheet';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';

/** Reasons painters give; no typing for the usual ones. */
const REASONS = [
  'a study, not to be kept',
  'a test piece',
  'it has held for me before',
  'the risk is known and wanted',
] as const;

/** Going against a rule takes a reason; it stays with the coat. */
export function OverruleDialog({
  rule,
  onReason,
  onClose,
}: {
  rule: RuleKey;
  onReason: (reason: string) => void;
  onClose: () => void;
}) {
  const reason = useText(`overrule:${rule}`, overruleSchema.shape.reason);
  const { title, says } = ruleOf(rule);
  return (
    <Sheet name={`Against the rule: ${title}`} onClose={onClose}>
      <View style={{ gap: space.m }}>
        <Heading>{title}</Heading>
        <Text>{says}</Text>
        <Text tone="ink2">Why all the same? The reason is kept with the coat.</Text>
        <Choice
          label="Reason"
          hideLabel
          options={REASONS.map((key) => ({ key, name: key }))}
          value={REASONS.find((r) => r === reason.text) ?? null}
          onChange={reason.set}
        />
        <Field
          label="Or in your own words"
          value={reason.text}
          onChangeText={reason.set}
          error={reason.error}
        />
        <Action
          title="Do it all the same"
          kind="primary"
          disabled={reason.text.trim() === ''}
          onPress={() => {
            const text = reason.accepted();
            if (text === null) return;
            reason.done();
            onReason(text);
          }}
        />
        <Action title="Keep to the rule" kind="quiet" onPress={onClose} />
      </View>
    </Sheet>
  );
}
