import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import {
  INGREDIENT_KEYS,
  INGREDIENT_KINDS,
  INGREDIENTS,
  type IngredientKey,
  type IngredientKind,
  type Strength,
} from '@/data/ingredients';
import { cutOfWtPct, varnishCut, type MediumPart } from '@/core/film';
import { CODECS, numberOf, parseNumber, type Draft, type NumberBinding } from '@/forms';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { TakeOut } from '@/ui/TakeOut';
import { Notice } from '@/ui/Notice';
import { Sheet } from '@/ui/Sheet';
import { Stepper } from '@/ui/Stepper';
import { Heading, Text } from '@/ui/Text';
import { colour, space } from '@/ui/tokens';

/** An ingredient while it is edited. */
export type IngredientDraft = Draft<MediumPart>;

/** The fields of a line. */
export interface LineBinding {
  parts: NumberBinding;
  /** Solids by weight %; empty: the usual strength. */
  solids: NumberBinding;
}

const KIND_NAMES: Record<IngredientKind, string> = {
  oil: 'Oils',
  'resin-varnish': 'Resin varnishes',
  alkyd: 'Alkyd',
  wax: 'Wax',
  balsam: 'Balsams',
  solvent: 'Solvents',
  drier: 'Driers, by the drop',
  retarder: 'To keep it open',
  historic: 'Historic, refused by the rules',
};

interface Props {
  lines: IngredientDraft[];
  onChange: (lines: IngredientDraft[]) => void;
  binding: (line: number) => LineBinding;
  measure?: string;
}

/** A medium line by line: parts with steppers, strength where there is one to set, cautions below. */
export function IngredientLines({ lines, onChange, binding, measure = 'parts' }: Props) {
  const [adding, setAdding] = useState(false);
  const replace = (i: number, change: Partial<IngredientDraft>) =>
    onChange(lines.map((line, n) => (n === i ? { ...line, ...change } : line)));
  const cautions = [
    ...new Set(lines.map((l) => INGREDIENTS[l.ingredient].caution).filter((c) => c !== undefined)),
  ];
  return (
    <View style={{ gap: space.s }}>
      {lines.map((line, i) => (
        <IngredientLine
          key={line.ingredient}
          line={line}
          measure={measure}
          binding={binding(i)}
          onChange={(change) => replace(i, change)}
          onOut={() => onChange(lines.filter((_, n) => n !== i))}
        />
      ))}
      <Action
        title="Add an ingredient"
        onPress={() => setAdding(true)}
        style={{ alignSelf: 'flex-start' }}
      />
      {cautions.map((c) => (
        <Notice key={c}>{c}</Notice>
      ))}
      {adding ? (
        <IngredientPicker
          taken={lines.map((l) => l.ingredient)}
          onClose={() => setAdding(false)}
          onPick={(ingredient) => {
            onChange([...lines, { parts: 1, ingredient }]);
            setAdding(false);
          }}
        />
      ) : null}
    </View>
  );
}

function IngredientLine({
  line,
  measure,
  binding,
  onChange,
  onOut,
}: {
  line: IngredientDraft;
  measure: string;
  binding: LineBinding;
  onChange: (change: Partial<IngredientDraft>) => void;
  onOut: () => void;
}) {
  const { name, kind, strength } = INGREDIENTS[line.ingredient];
  const [from, to] = strength?.rangeWtPct ?? [0, 100];
  return (
    <View style={styles.line}>
      <View style={styles.row}>
        <Text strong style={{ flex: 1 }}>
          {name}
        </Text>
        <Stepper
          label={`${measure.charAt(0).toUpperCase()}${measure.slice(1)} of ${name}`}
          hideLabel
          step={0.5}
          min={0.5}
          max={999}
          {...binding.parts}
        />
        <TakeOut name={name} onPress={onOut} />
      </View>
      {strength ? (
        <Stepper
          label={`Solids of ${name} by weight, usually ${Math.round(strength.usualWtPct)} %`}
          unit="%"
          step={1}
          min={from}
          max={to}
          {...binding.solids}
          placeholder={CODECS.number.show(Math.round(strength.usualWtPct * 10) / 10)}
        />
      ) : null}
      {strength && kind === 'resin-varnish' ? (
        <CutField
          strength={strength}
          wtPct={line.solidsWtPct === undefined ? strength.usualWtPct : numberOf(line.solidsWtPct)}
          onChange={(solidsWtPct) => onChange({ solidsWtPct })}
        />
      ) : null}
    </View>
  );
}

/** The same strength as painters buy it: pounds of resin to the US gallon of solvent. */
function CutField({
  strength,
  wtPct,
  onChange,
}: {
  strength: Strength;
  wtPct: number;
  onChange: (wtPct: number) => void;
}) {
  const { solidDensityGPerMl, solventDensityGPerMl } = strength;
  const shown = CUT.show(cutOfWtPct(wtPct, solventDensityGPerMl));
  // As typed, for as long as it says what the strength is.
  const [typed, setTyped] = useState<string | null>(null);
  const pounds = typed === null ? NaN : parseNumber(typed);
  return (
    <Stepper
      label="Or as a cut"
      unit="lb to the gallon"
      step={0.5}
      min={0.5}
      max={10}
      text={typed !== null && (!(pounds > 0) || CUT.show(pounds) === shown) ? typed : shown}
      onChangeText={(text) => {
        setTyped(text);
        const cut = parseNumber(text);
        if (cut > 0)
          onChange(
            PERCENT * varnishCut(cut, solidDensityGPerMl, solventDensityGPerMl).resinWeightFraction,
          );
      }}
      onBlur={() => setTyped(null)}
    />
  );
}

const CUT = { show: (pounds: number): string => String(Number(pounds.toFixed(1))) };
const PERCENT = 100;

export function IngredientPicker({
  taken,
  onPick,
  onClose,
}: {
  taken: IngredientKey[];
  onPick: (ingredient: IngredientKey) => void;
  onClose: () => void;
}) {
  return (
    <Sheet name="Choose an ingredient" onClose={onClose}>
      {INGREDIENT_KINDS.map((kind) => {
        const options = INGREDIENT_KEYS.filter(
          (key) => INGREDIENTS[key].kind === kind && !taken.includes(key),
        ).map((key) => ({ key, name: INGREDIENTS[key].name }));
        return options.length === 0 ? null : (
          <View key={kind}>
            <Heading level={3} style={{ marginBottom: space.xs }}>
              {KIND_NAMES[kind]}
            </Heading>
            <Choice
              label={KIND_NAMES[kind]}
              hideLabel
              options={options}
              value={null}
              onChange={onPick}
            />
          </View>
        );
      })}
      <Action title="Cancel" kind="quiet" onPress={onClose} />
    </Sheet>
  );
}

const styles = StyleSheet.create({
  line: { borderBottomWidth: 1, borderBottomColor: colour.rule, paddingBottom: space.xs },
  row: { flexDirection: 'row', alignItems: 'center' },
});
