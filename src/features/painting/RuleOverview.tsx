import { View } from 'react-native';
import type { PaintingAssessment } from '@/core/painting';
import { findingMend, findingSentence, SEVERITY_WORD } from '@/core/rules/wording';
import { inDegrees } from '@/features/units';
import { useTemperatureUnit } from '@/features/useTemperature';
import { Notice } from '@/ui/Notice';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import type { ToldFinding } from '@/core/tell';
import { ruleNotes } from './usePaintingView';

/** What the compatibility rules say over the whole painting: support, ground and every film. */
export function RuleOverview({ assessment }: { assessment: PaintingAssessment }) {
  const notes = ruleNotes(assessment);
  if (notes.length === 0) return null;
  return (
    <View style={{ marginVertical: space.m }}>
      <Heading style={{ marginBottom: space.s }}>What the rules say</Heading>
      {notes.map((note) => (
        <Note key={note.finding.rule} note={note} />
      ))}
    </View>
  );
}

const SHOWN = 3;

function Note({ note: { finding, where } }: { note: ToldFinding }) {
  const unit = useTemperatureUnit();
  const places =
    where.length > SHOWN
      ? `${where.slice(0, SHOWN).join('; ')} and ${where.length - SHOWN} more`
      : where.join('; ');
  const loud =
    finding.overruled === null && (finding.severity === 'forbid' || finding.severity === 'strong');
  const word = SEVERITY_WORD[finding.severity];
  return (
    <Notice
      tone={loud ? 'refusal' : 'note'}
      action={
        <Text size="small" tone="ink2">
          {finding.overruled === null
            ? `${inDegrees(findingMend(finding), unit)} Here: ${places}.`
            : `Overruled: ${finding.overruled}. Here: ${places}.`}
        </Text>
      }
    >
      {`${word.charAt(0).toUpperCase()}${word.slice(1)}. ${inDegrees(findingSentence({ ...finding, about: null }), unit)}`}
    </Notice>
  );
}
