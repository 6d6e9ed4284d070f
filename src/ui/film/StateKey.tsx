import { View } from 'react-native';
import { space } from '../tokens';
import { StateTag } from './StateSwatch';

const STATES = ['open', 'setting', 'tacky', 'touch-dry', 'through-dry'] as const;

/** What the textures mean, in the order of drying. */
export function FilmStateKey() {
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.m, marginTop: space.xl }}>
      {STATES.map((state) => (
        <StateTag key={state} state={state} />
      ))}
    </View>
  );
}
