import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { wipesOff } from '@/core/painting/layer';
import { AlsoSheet } from '@/features/record/AlsoSheet';
import { LayDialog } from '@/features/record/LayDialog';
import { RemovalSheet } from '@/features/record/RemovalSheet';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { space } from '@/ui/tokens';
import { staysSoft } from '@/core/tell/stays-soft';
import { StageWindows } from './StageWindows';
import type { LayerView, SectionView } from './useSectionView';

/** A film that lies there: how it dries, and what can be done with it. */
export function LaidPanel({ view, chosen }: { view: SectionView; chosen: LayerView }) {
  const router = useRouter();
  const [doing, setDoing] = useState<'take-off' | 'again' | 'also' | null>(null);
  const { layer } = chosen;
  const { painting } = view;
  const passageId = view.passage.passage.id;
  const top = view.stack.layers.filter((l) => !l.planned).at(-1) === layer;
  const own = layer.film.coatIds.length > 0;
  const coat = painting.coats.findLast((c) => layer.film.coatIds.includes(c.id));
  const close = () => setDoing(null);
  return (
    <View style={{ gap: space.m }}>
      <StageWindows layer={layer} school={view.painting.school} nowMs={view.nowMs} />
      {staysSoft(layer).map((words) => (
        <Notice key={words}>{words}</Notice>
      ))}
      {layer.film.paintedOut ? <Notice>Painted out: the next coat has to hide it.</Notice> : null}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.s }}>
        {top && own ? (
          <Action
            title="Wiped, scraped, painted out"
            onPress={() => setDoing('take-off')}
            style={{ flexGrow: 1 }}
          />
        ) : null}
        {top && coat ? <Action title="Lay it again" onPress={() => setDoing('again')} /> : null}
        {coat && painting.passages.length > 1 ? (
          <Action title="On another passage too" onPress={() => setDoing('also')} />
        ) : null}
        {coat ? (
          <Action
            title="Correct the record"
            kind="quiet"
            onPress={() =>
              router.push({
                pathname: '/paintings/[id]/coats/[coatId]',
                params: { id: painting.id, coatId: coat.id, record: '1' },
              })
            }
          />
        ) : null}
      </View>
      {doing === 'take-off' ? (
        <RemovalSheet
          painting={painting}
          passageIds={[passageId]}
          spotName={view.spotName}
          filmName={layer.film.name}
          wet={wipesOff(layer)}
          nowMs={view.nowMs}
          onClose={close}
        />
      ) : null}
      {doing === 'again' && coat ? (
        <LayDialog
          painting={painting}
          coatId={coat.id}
          passageId={passageId}
          nowMs={view.nowMs}
          more
          onClose={close}
        />
      ) : null}
      {doing === 'also' && coat ? (
        <AlsoSheet painting={painting} coat={coat} passageId={passageId} onClose={close} />
      ) : null}
    </View>
  );
}
