import { View } from 'react-native';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Stepper } from '@/ui/Stepper';
import { space } from '@/ui/tokens';

/** A spot as it is typed. */
export interface SpotDraft {
  on: boolean;
  name: string;
  sharePct: string;
}

const USUAL_NAME = 'highlights';

interface Props {
  spot: SpotDraft;
  onChange: (spot: SpotDraft) => void;
  nameProblem?: string | undefined;
  shareProblem?: string | undefined;
}

/** All of the passage, or a spot of it with a name and a rough share. */
export function SpotFields({ spot, onChange, nameProblem, shareProblem }: Props) {
  return (
    <View>
      <Choice
        label="How much of it"
        options={[
          { key: 'all', name: 'all of it' },
          { key: 'spot', name: 'a spot' },
        ]}
        value={spot.on ? 'spot' : 'all'}
        onChange={(key) => onChange({ ...spot, on: key === 'spot', name: spot.name || USUAL_NAME })}
      />
      {spot.on ? (
        <View
          style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.m, alignItems: 'flex-end' }}
        >
          <View style={{ flexGrow: 1, flexBasis: 140 }}>
            <Field
              label="The spot"
              value={spot.name}
              onChangeText={(name) => onChange({ ...spot, name })}
              error={nameProblem}
            />
          </View>
          <View style={{ marginBottom: space.m }}>
            <Stepper
              label="Its share of the passage"
              unit="%"
              step={5}
              min={1}
              max={100}
              text={spot.sharePct}
              onChangeText={(sharePct) => onChange({ ...spot, sharePct })}
              error={shareProblem}
            />
          </View>
        </View>
      ) : null}
    </View>
  );
}
