import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { raysFrom, ticksTo } from '@/core/looking/guides';
import type { Painting } from '@/core/painting';
import { parseNumber } from '@/forms';
import { Action } from '@/ui/Action';
import { Stepper } from '@/ui/Stepper';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import { PrintedGuides } from './PrintedGuides';

const TICKS = 8;

/** Lines to a point out of reach, as distances along the edge that a ruler can mark. */
export function Guides({ painting }: { painting: Painting }) {
  const { support } = painting;
  const [across, setAcross] = useState('');
  const [down, setDown] = useState('');
  const x = parseNumber(across) * 10;
  const y = parseNumber(down) * 10;
  const given = Number.isFinite(x) && Number.isFinite(y);
  const cm = (mm: number) => (mm / 10).toFixed(1);
  const ticks = given ? ticksTo(support, [x, y], TICKS) : [];
  const rays = given ? raysFrom(support, [x, y], TICKS) : [];
  const outside = x < 0 || x > support.widthMm;
  return (
    <View style={{ gap: space.s, marginTop: space.l }}>
      <Heading level={2}>Lines to one point</Heading>
      <Text size="small" tone="ink2">
        From the upper left corner of the picture; it may lie far outside, and left of it or above
        it is below nothing.
      </Text>
      <View style={styles.do}>
        <Stepper
          label="To the right"
          unit="cm"
          step={5}
          min={-1000}
          max={1000}
          text={across}
          onChangeText={setAcross}
        />
        <Stepper
          label="Down"
          unit="cm"
          step={5}
          min={-1000}
          max={1000}
          text={down}
          onChangeText={setDown}
        />
      </View>
      {given && outside ? (
        <>
          <Text strong>Receding lines: mark these on the two sides and join them</Text>
          {ticks.map((t) => (
            <Text key={t.left} size="small">
              {`left side ${cm(t.left)} cm from the top, right side ${cm(t.right)} cm`}
            </Text>
          ))}
        </>
      ) : null}
      {given ? (
        <>
          <Action title="Print the marks" onPress={() => window.print()} />
          <PrintedGuides
            title={painting.title}
            support={support}
            at={[across, down]}
            ticks={outside ? ticks : []}
            rays={rays}
          />
          <Text strong>Rays from it</Text>
          {rays.map((r, i) => (
            <Text key={i} size="small">
              {`${r.from ? `in at the ${r.from.side} side, ${cm(r.from.mm)} cm; out` : 'out'} at the ${r.to.side} side, ${cm(r.to.mm)} cm`}
            </Text>
          ))}
        </>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  do: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s, columnGap: space.xl },
});
