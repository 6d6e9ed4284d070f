import { useState } from 'react';
import { View } from 'react-native';
import type { Painting } from '@/core/painting';
import { SCHOOLS } from '@/core/schools';
import { groundDrawing } from '@/features/film-view';
import { stackSteps } from '@/features/stack-steps';
import { useSwatches } from '@/store/hooks';
import { FilmSection } from '@/ui/film/FilmSection';
import { space } from '@/ui/tokens';
import type { CoatEditor } from './useCoatEditor';

/** On a wide screen: the cut through the film with the draft in it, beside the editor. */
export function LiveSection({ editor, painting }: { editor: CoatEditor; painting: Painting }) {
  const swatches = useSwatches();
  const [width, setWidth] = useState(0);
  const { stack, layer } = editor.live;
  if (!stack || !layer) return null;
  return (
    <View style={{ marginBottom: space.l }} onLayout={(e) => setWidth(e.nativeEvent.layout.width)}>
      {width > 0 ? (
        <FilmSection
          steps={stackSteps(stack, painting, swatches)}
          ground={groundDrawing(painting)}
          measureName={SCHOOLS[painting.school].measureName}
          width={width}
          height={300}
          chosen={layer.film.key}
          onChoose={() => undefined}
        />
      ) : null}
    </View>
  );
}
