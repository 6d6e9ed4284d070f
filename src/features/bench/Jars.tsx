import { useState } from 'react';
import { View } from 'react-native';
import type { CabinetMedium } from '@/core/cabinet';
import { mediumFigures } from '@/core/film';
import { blendJars, byVolume, stretchJar, stretchToSolids } from '@/core/quantity';
import { INGREDIENTS, type IngredientKey } from '@/data/ingredients';
import { MediumPicker } from '@/features/MediumPicker';
import { parseNumber } from '@/forms';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Notice } from '@/ui/Notice';
import { Stepper } from '@/ui/Stepper';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import type { MediumBench } from './useMediumBench';

const ml = (value: number): string => `${Number(value.toFixed(1))} ml`;

/** What is left in a jar: more of the same, thinner or richer, or poured together with another. */
export function Jars({ bench }: { bench: MediumBench }) {
  return (
    <View style={{ gap: space.xl }}>
      <Stretch bench={bench} />
      <Thin bench={bench} />
      <Blend bench={bench} />
    </View>
  );
}

function Stretch({ bench }: { bench: MediumBench }) {
  const [left, setLeft] = useState('20');
  const [wanted, setWanted] = useState('50');
  const [have, want] = [parseNumber(left), parseNumber(wanted)];
  const enough = have > 0 && want >= have;
  return (
    <View style={{ gap: space.s }}>
      <Heading>Stretch what is left in the jar</Heading>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.l }}>
        <Stepper
          label="In the jar"
          unit="ml"
          step={5}
          min={1}
          max={5000}
          text={left}
          onChangeText={setLeft}
        />
        <Stepper
          label="Wanted in all"
          unit="ml"
          step={10}
          min={1}
          max={5000}
          text={wanted}
          onChangeText={setWanted}
        />
      </View>
      {enough ? (
        <Text strong>
          {`Add ${stretchJar({ parts: bench.parts!, ml: have }, want)
            .map((a) => `${ml(a.ml)} ${INGREDIENTS[a.ingredient].name}`)
            .join(', ')}.`}
        </Text>
      ) : (
        <Notice tone="refusal">More must be wanted than is in the jar.</Notice>
      )}
    </View>
  );
}

const ADDABLE: IngredientKey[] = ['mineral-spirits', 'turpentine', 'stand-oil', 'linseed-refined'];

function Thin({ bench }: { bench: MediumBench }) {
  const now = mediumFigures(bench.parts!).solidsVolumeFraction;
  const [target, setTarget] = useState('25');
  const [add, setAdd] = useState<IngredientKey>('mineral-spirits');
  const jar = { parts: bench.parts!, ml: bench.batch!.ml };
  const share = parseNumber(target) / 100;
  const needed = share > 0 && share < 1 ? stretchToSolids(jar, { ingredient: add }, share) : null;
  return (
    <View style={{ gap: space.s }}>
      <Heading>Thinner or richer</Heading>
      <Stepper
        label={`Wanted to stay, by volume; now ${Math.round(now * 100)} %`}
        unit="%"
        step={5}
        min={1}
        max={99}
        text={target}
        onChangeText={setTarget}
      />
      <Choice
        label="By adding"
        options={ADDABLE.map((key) => ({ key, name: INGREDIENTS[key].name }))}
        value={add}
        onChange={setAdd}
      />
      {needed === null ? (
        <Text tone="ink2">{`${INGREDIENTS[add].name} leads the other way. Choose another.`}</Text>
      ) : (
        <Text strong>{`Add ${ml(needed)} ${INGREDIENTS[add].name} to these ${ml(jar.ml)}.`}</Text>
      )}
    </View>
  );
}

function Blend({ bench }: { bench: MediumBench }) {
  const [other, setOther] = useState<CabinetMedium | null>(null);
  const [otherMl, setOtherMl] = useState('20');
  const [picking, setPicking] = useState(false);
  const jar = { parts: bench.parts!, ml: bench.batch!.ml };
  const amount = parseNumber(otherMl);
  const both =
    other && amount > 0
      ? blendJars(jar, { parts: byVolume(other.parts, other.by), ml: amount })
      : null;
  return (
    <View style={{ gap: space.s }}>
      <Heading>Pour two jars together</Heading>
      <Text tone="ink2">{`These ${ml(jar.ml)}, and`}</Text>
      <View
        style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.l, alignItems: 'flex-end' }}
      >
        <Stepper
          label="Of the other jar"
          unit="ml"
          step={5}
          min={1}
          max={5000}
          text={otherMl}
          onChangeText={setOtherMl}
        />
        <Action title={other?.name ?? 'Choose the other jar'} onPress={() => setPicking(true)} />
      </View>
      {both ? (
        <>
          <Text strong>
            {`${ml(both.ml)}: ${both.parts
              .map((p) => `${ml(p.parts)} ${INGREDIENTS[p.ingredient].name}`)
              .join(
                ', ',
              )}; ${Math.round(mediumFigures(both.parts).solidsVolumeFraction * 100)} % stays.`}
          </Text>
          <Action
            title="Go on with the blend"
            onPress={() => bench.takeParts(both.parts, both.ml, null)}
          />
        </>
      ) : null}
      {picking ? (
        <MediumPicker
          onPick={(medium) => {
            setOther(medium);
            setPicking(false);
          }}
          onClose={() => setPicking(false)}
        />
      ) : null}
    </View>
  );
}
