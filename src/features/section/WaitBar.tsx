import { addDays } from 'date-fns/addDays';
import { startOfDay } from 'date-fns/startOfDay';
import { useState } from 'react';
import { View } from 'react-native';
import { topLaid } from '@/core/painting';
import { Text } from '@/ui/Text';
import { WindowBar } from '@/ui/time/WindowBar';
import { shortTime, stretch } from '@/ui/time/words';
import type { SectionView } from './useSectionView';

const DAY_MS = 86_400_000;

/** How long the film below still has to be left alone before this coat. */
export function WaitBar({ view }: { view: SectionView }) {
  const [width, setWidth] = useState(0);
  const top = topLaid(view.stack);
  const next = view.stack.layers.find((l) => l.planned);
  if (!top?.windows || top.film.coatIds.length === 0 || !next) return null;
  const { nowMs } = view;
  if (next.onto === 'wet' && top.state === 'open') {
    return (
      <Text tone="ink2">{`Into the wet: open until ${stretch(top.windows.openUntil.p10!, top.windows.openUntil.p50!, nowMs)}.`}</Text>
    );
  }
  const stage = next.onto === 'through-dry' ? top.windows.throughDry : top.windows.touchDry;
  const word = next.onto === 'through-dry' ? 'dry through' : 'touch-dry';
  if (stage.p50 === null || stage.p90 === null)
    return <Text tone="ink2">At this temperature the film below does not dry.</Text>;
  if (stage.p75! <= nowMs)
    return <Text tone="ink2">{`What lies below is ${word}: the coat may go on.`}</Text>;
  const toMs = Math.max(nowMs + 2 * DAY_MS, stage.p90 + (stage.p90 - nowMs) * 0.35);
  const days = Math.ceil((toMs - nowMs) / DAY_MS);
  const ticks =
    days > 40
      ? []
      : Array.from({ length: days }, (_, i) => startOfDay(addDays(nowMs, i + 1)).getTime());
  return (
    <View onLayout={(e) => setWidth(e.nativeEvent.layout.width)}>
      {width > 0 ? (
        <WindowBar
          width={width}
          height={18}
          fromMs={nowMs}
          toMs={toMs}
          state={top.state}
          readyFromMs={stage.p25}
          readyByMs={stage.p75}
          marks={[
            { ms: stage.p50, solid: false },
            { ms: stage.p90, solid: true },
          ]}
          ticks={ticks}
        />
      ) : null}
      <Text size="small" tone="ink2">
        {`Below it is ${top.state}; ${word} `}
        <Text size="small" strong>
          {shortTime(stage.p50, nowMs)}
        </Text>
        {' 50\u00a0%, '}
        <Text size="small" strong>
          {shortTime(stage.p90, nowMs)}
        </Text>
        {' 90\u00a0%'}
      </Text>
    </View>
  );
}
