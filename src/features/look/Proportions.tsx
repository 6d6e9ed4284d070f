import { useState } from 'react';
import { View } from 'react-native';
import { plumbOf } from '@/core/looking/drawing';
import { departingProportions } from '@/core/looking/proportions';
import { tellPlumb, tellProportion } from '@/core/looking/tell-drawing';
import { Choice } from '@/ui/Choice';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';

/** A watched point: where it belongs, and where it is on the photo, mm. */
export interface Watched {
  id: string;
  name: string;
  design: readonly [number, number];
  work: readonly [number, number];
}

const MOST = 6;

/** Plumb and level, and proportions by dividers: one distance is the unit, every other is told in it. */
export function Proportions({ points, sigmaMm }: { points: readonly Watched[]; sigmaMm: number }) {
  const [from, setFrom] = useState<string | null>(null);
  const [to, setTo] = useState<string | null>(null);
  if (points.length < 3) return null;
  const names = new Map(points.map((p) => [p.id, p.name]));
  const a = points.find((p) => p.id === from) ?? points[0]!;
  const b = points.find((p) => p.id === to && p.id !== a.id) ?? points.find((p) => p.id !== a.id)!;
  const leans = plumbOf(points, sigmaMm).flatMap((l) => tellPlumb(l, names) ?? []);
  const departing = departingProportions(points, [a.id, b.id], sigmaMm).slice(0, MOST);
  const options = points.map((p) => ({ key: p.id, name: p.name }));
  return (
    <View style={{ gap: space.s }}>
      <Heading level={2}>Plumb, level and proportion</Heading>
      {leans.length === 0 ? (
        <Text>What hangs or lies true in the design does so here, within the error.</Text>
      ) : (
        leans.map((line) => <Text key={line}>{line}</Text>)
      )}
      <Choice label="Measured in: from" options={options} value={a.id} onChange={setFrom} />
      <Choice
        label="to"
        options={options.filter((o) => o.key !== a.id)}
        value={b.id}
        onChange={setTo}
      />
      {departing.length === 0 ? (
        <Text>{`Measured by ${a.name} to ${b.name}, every distance holds within the error.`}</Text>
      ) : (
        departing.map((p) => {
          const line = tellProportion(p, names);
          return <Text key={line}>{line}</Text>;
        })
      )}
    </View>
  );
}
