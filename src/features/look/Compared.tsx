import { createElement, useEffect, useState, type ChangeEvent } from 'react';
import { StyleSheet, View } from 'react-native';
import { parseNumber } from '@/forms';
import { Action } from '@/ui/Action';
import { Stepper } from '@/ui/Stepper';
import { Text } from '@/ui/Text';
import { colour, space } from '@/ui/tokens';
import type { MapReply } from '@/workers/looking-protocol';
import { MapPicture } from './MapPicture';

interface Shown {
  map: MapReply | null;
  label: string;
  caption: string;
  /** Height over width. */
  ratio: number;
}

export const COMPARED = [
  { key: 'beside', name: 'side by side' },
  { key: 'over', name: 'one over the other' },
  { key: 'turn', name: 'in turn' },
] as const;
export type ComparedBy = (typeof COMPARED)[number]['key'];

/** Faster than this nothing may flash at anybody (WCAG 2.3.1 allows three; a painter wants one at most). */
const FASTEST_HZ = 1;

/** Whether the reader asked for no motion; then nothing moves by itself. */
const still = (): boolean =>
  typeof matchMedia !== 'undefined' && matchMedia('(prefers-reduced-motion: reduce)').matches;

/** Two pictures held against each other. Those that have not the same support can only stand side by side. */
export function Compared({
  one,
  two,
  width,
  by,
}: {
  /** The design or a reference; null where there is none. */
  one: Shown | null;
  two: Shown;
  width: number;
  by: ComparedBy;
}) {
  if (!one) return <Held {...two} width={width} />;
  const alike = Math.abs(one.ratio - two.ratio) < 1e-6;
  const now = alike ? by : 'beside';
  return (
    <View style={{ gap: space.s, width }}>
      {now === 'beside' ? (
        <View style={styles.pair}>
          <Held {...one} width={Math.floor((width - space.s) / 2)} />
          <Held {...two} width={Math.floor((width - space.s) / 2)} />
        </View>
      ) : now === 'over' ? (
        <Divided one={one} two={two} width={width} />
      ) : (
        <InTurn one={one} two={two} width={width} />
      )}
    </View>
  );
}

function Held({ map, label, caption, ratio, width }: Shown & { width: number }) {
  return (
    <View>
      <MapPicture map={map} label={label} width={width} ratio={ratio} />
      <Text size="small">{caption}</Text>
    </View>
  );
}

/** One over the other, up to a line that is dragged or moved by keys. */
function Divided({ one, two, width }: { one: Shown; two: Shown; width: number }) {
  const [share, setShare] = useState(50);
  const height = width * two.ratio;
  return (
    <View>
      <View style={{ width, height }}>
        <MapPicture map={two.map} label={two.label} width={width} ratio={two.ratio} />
        <View
          style={{
            position: 'absolute',
            left: 0,
            top: 0,
            height,
            width: (width * share) / 100,
            overflow: 'hidden',
            borderRightWidth: 2,
            borderRightColor: colour.tawny,
          }}
        >
          <MapPicture map={one.map} label={one.label} width={width} ratio={one.ratio} />
        </View>
      </View>
      {createElement('input', {
        type: 'range',
        min: 0,
        max: 100,
        value: share,
        'aria-label': 'Where one ends and the other begins',
        onChange: (e: ChangeEvent<HTMLInputElement>) => setShare(Number(e.currentTarget.value)),
        style: { width, height: 44, margin: 0, accentColor: colour.tawny },
      })}
      <View style={styles.ends}>
        <Text size="small">{one.caption}</Text>
        <Text size="small">{two.caption}</Text>
      </View>
    </View>
  );
}

/** Now the one, now the other, at one place: begun by the painter, never faster than once a second. */
function InTurn({ one, two, width }: { one: Shown; two: Shown; width: number }) {
  const [first, setFirst] = useState(true);
  const [runs, setRuns] = useState(false);
  const [rate, setRate] = useState('0.5');
  const hz = Math.min(FASTEST_HZ, Math.max(0.1, parseNumber(rate) || 0.5));
  useEffect(() => {
    if (!runs) return;
    const timer = setInterval(() => setFirst((f) => !f), 1000 / hz / 2);
    return () => clearInterval(timer);
  }, [runs, hz]);
  const quiet = still();
  return (
    <View style={{ gap: space.xs }}>
      <Held {...(first ? one : two)} width={width} />
      <View style={styles.do}>
        <Action title="The other one" onPress={() => setFirst((f) => !f)} />
        {quiet ? null : (
          <>
            <Action title={runs ? 'Hold it' : 'In turn'} onPress={() => setRuns((r) => !r)} />
            <Stepper
              label="There and back in a second"
              unit="times"
              step={0.1}
              min={0.1}
              max={FASTEST_HZ}
              text={rate}
              onChangeText={setRate}
            />
          </>
        )}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  pair: { flexDirection: 'row', gap: space.s },
  ends: { flexDirection: 'row', justifyContent: 'space-between' },
  do: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    gap: space.s,
    columnGap: space.xl,
    alignItems: 'flex-end',
  },
});
