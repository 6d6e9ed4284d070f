import { useState } from 'react';
import { View } from 'react-native';
import { CoreError } from '@/core/errors';
import type { MediumPart } from '@/core/film';
import { STUDIO_HANDBOOK } from '@/core/handbook';
import { mediumFor, type MediumFor } from '@/core/quantity';
import { PaintPicker } from '@/features/PaintPicker';
import { tubeName, type Tube } from '@/core/cabinet/tube-names';
import { parseNumber } from '@/forms';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Notice } from '@/ui/Notice';
import { Stepper } from '@/ui/Stepper';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import { CapGauge } from './CapGauge';

const FIRST: Tube = { pigment: 'titanium-white', binder: 'linseed' };

type Target = 'fatness' | 'reducedPvc';

/** The share, or the sentence that says why there is none. */
function solve(tube: Tube, parts: MediumPart[], target: Target, text: string): MediumFor | string {
  const value = parseNumber(text);
  if (!Number.isFinite(value)) return 'Must be a number.';
  try {
    return mediumFor(
      STUDIO_HANDBOOK,
      [{ parts: 1, ...tube }],
      parts,
      target === 'fatness' ? { fatness: value / 100 } : { reducedPvc: value },
    );
  } catch (error) {
    if (error instanceof CoreError) return error.message;
    throw error;
  }
}

/** From a wanted fatness, or reduced PVC, back to the medium to add to a paint. */
export function ForPaint({ parts }: { parts: MediumPart[] }) {
  const [tube, setTube] = useState<Tube>(FIRST);
  const [picking, setPicking] = useState(false);
  const [target, setTarget] = useState<Target>('fatness');
  const [text, setText] = useState('62');
  const found = solve(tube, parts, target, text);
  return (
    <View style={{ gap: space.m }}>
      <Heading>For a paint</Heading>
      <Action title={tubeName(tube)} onPress={() => setPicking(true)} />
      <Choice
        label="Wanted"
        options={[
          { key: 'fatness', name: 'a fatness' },
          { key: 'reducedPvc', name: 'a pigment load' },
        ]}
        value={target}
        onChange={(key) => {
          setTarget(key);
          setText(key === 'fatness' ? '62' : '0.72');
        }}
      />
      <Stepper
        label={target === 'fatness' ? 'Binder in the dry film' : 'Pigment load, above 1 is chalky'}
        step={target === 'fatness' ? 1 : 0.01}
        min={0.01}
        max={target === 'fatness' ? 99 : 1.2}
        text={text}
        onChangeText={setText}
        {...(target === 'fatness' ? { unit: '%' } : {})}
      />
      {typeof found === 'string' ? (
        <Notice tone="refusal">{found}</Notice>
      ) : (
        <>
          <Text size="large" strong>
            {`${found.mlPer10MlPaint.toFixed(1)} ml of it to 10 ml of paint`}
          </Text>
          <Text tone="ink2">
            {`The film then holds ${Math.round(found.fatness * 100)} % binder${found.reducedPvc === null ? '' : `, reduced PVC ${found.reducedPvc.toFixed(2)}`}.`}
          </Text>
          <CapGauge share={found.mediumShare} />
        </>
      )}
      {picking ? (
        <PaintPicker
          binder="linseed"
          onPick={(picked) => {
            setTube(picked);
            setPicking(false);
          }}
          onClose={() => setPicking(false)}
        />
      ) : null}
    </View>
  );
}
