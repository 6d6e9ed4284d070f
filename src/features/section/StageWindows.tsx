import { View } from 'react-native';
import { finishWindows, type FinishStage, type Stage } from '@/core/drying';
import { STUDIO_HANDBOOK } from '@/core/handbook';
import { SCHOOLS, type SchoolKey } from '@/core/schools';
import type { Layer } from '@/core/painting';
import { Text } from '@/ui/Text';
import { DiamondKey } from '@/ui/time/WindowBar';
import { shortTime } from '@/ui/time/words';
import { colour, space } from '@/ui/tokens';

const ROWS: { stage: Stage | FinishStage; name: string; safe: 'p10' | 'p90' }[] = [
  { stage: 'openUntil', name: 'open until', safe: 'p10' },
  // Wet or tacky paint comes off; set paint has to be scraped.
  { stage: 'touchDry', name: 'comes off with a rag until', safe: 'p10' },
  { stage: 'set', name: 'set', safe: 'p90' },
  { stage: 'touchDry', name: 'touch-dry', safe: 'p90' },
  { stage: 'recoat', name: 'takes a coat, by the school', safe: 'p90' },
  { stage: 'retouch', name: 'takes a retouch varnish', safe: 'p90' },
  { stage: 'handled', name: 'can be handled, laid flat', safe: 'p90' },
  { stage: 'throughDry', name: 'through-dry', safe: 'p90' },
  { stage: 'varnishModern', name: 'final varnish, modern resin', safe: 'p90' },
  { stage: 'varnishTraditional', name: 'final varnish, natural resin', safe: 'p90' },
];

/** The stages of a laid film, each with its 50 % and 90 % mark. Never a bare date. */
export function StageWindows({
  layer,
  school,
  nowMs,
}: {
  layer: Layer;
  school: SchoolKey;
  nowMs: number;
}) {
  if (!layer.windows || !layer.clock) return null;
  const windows = {
    ...layer.windows,
    ...finishWindows(STUDIO_HANDBOOK.constants, layer.times, layer.clock, SCHOOLS[school].recoat),
  };
  // A drawing, a varnish or acrylic is not waited for like oil.
  const rows =
    layer.times.kind === 'oil' ? ROWS : ROWS.filter(({ stage }) => stage in layer.windows!);
  const told = (ms: number | null) =>
    ms === null ? 'never, at this climate' : shortTime(ms, nowMs);
  return (
    <View role="table" aria-label="Drying of this film">
      <View role="row" style={{ flexDirection: 'row', gap: space.s }}>
        <Cell
          head
        >{`laid ${layer.film.laidAtMs === null ? '' : shortTime(layer.film.laidAtMs, nowMs)}`}</Cell>
        <MarkHead solid={false} />
        <MarkHead solid />
      </View>
      {rows.map(({ stage, name, safe }) => (
        <View
          role="row"
          key={name}
          style={{
            flexDirection: 'row',
            gap: space.s,
            borderTopWidth: 1,
            borderTopColor: colour.rule,
            paddingVertical: space.s,
          }}
        >
          <Cell>{name}</Cell>
          <Cell right>{told(windows[stage].p50)}</Cell>
          <Cell right strong>
            {told(windows[stage][safe])}
          </Cell>
        </View>
      ))}
    </View>
  );
}

/** 50 % is hollow, 90 % solid. */
function MarkHead({ solid }: { solid: boolean }) {
  return (
    <View
      role="columnheader"
      style={{
        width: 92,
        flexDirection: 'row',
        justifyContent: 'flex-end',
        alignItems: 'center',
        gap: 2,
      }}
    >
      <DiamondKey solid={solid} />
      <Text size="small" tone="ink2">
        {solid ? '90 %' : '50 %'}
      </Text>
    </View>
  );
}

function Cell({
  children,
  right = false,
  strong = false,
  head = false,
}: {
  children: string;
  right?: boolean;
  strong?: boolean;
  head?: boolean;
}) {
  return (
    <Text
      role={head ? 'columnheader' : 'cell'}
      size={head ? 'small' : 'body'}
      tone={head ? 'ink2' : 'ink'}
      strong={strong}
      style={right ? { width: 92, textAlign: 'right' } : { flex: 1 }}
    >
      {children}
    </Text>
  );
}
