import { useState } from 'react';
import { View } from 'react-native';
import type { Spot } from '@/core/painting';
import { CORRECTIONS } from '@/data/corrections';
import type { Draft, NumberBinding, TextBinding } from '@/forms';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Stepper } from '@/ui/Stepper';
import { space } from '@/ui/tokens';

const USUAL: Spot = { name: 'highlights', share: CORRECTIONS.spotShare };

interface Props {
  spot: Draft<Spot> | null;
  onChange: (spot: Draft<Spot> | null) => void;
  name: TextBinding;
  share: NumberBinding;
}

/** All of the passage, or a spot of it with a name and a rough share. */
export function SpotFields({ spot, onChange, name, share }: Props) {
  // Chosen away and chosen again, it is the same spot.
  const [last, setLast] = useState<Draft<Spot>>(spot ?? USUAL);
  const choose = (key: 'all' | 'spot') => {
    if (spot) setLast(spot);
    onChange(key === 'spot' ? (spot ?? last) : null);
  };
  return (
    <View>
      <Choice
        label="How much of it"
        options={[
          { key: 'all', name: 'all of it' },
          { key: 'spot', name: 'a spot' },
        ]}
        value={spot ? 'spot' : 'all'}
        onChange={choose}
      />
      {spot ? <SpotLine label="The spot" name={name} share={share} /> : null}
    </View>
  );
}

/** A part of a passage: what it is called, and its rough share. */
export function SpotLine({
  label,
  name,
  share,
}: {
  label: string;
  name: TextBinding;
  share: NumberBinding;
}) {
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.m, alignItems: 'flex-end' }}>
      <View style={{ flexGrow: 1, flexBasis: 140 }}>
        <Field label={label} {...name} />
      </View>
      <View style={{ marginBottom: space.m }}>
        <Stepper label="Its share of the passage" unit="%" step={5} min={1} max={100} {...share} />
      </View>
    </View>
  );
}
