import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import Svg, { Line, Rect, Text as SvgText } from 'react-native-svg';
import { asTube } from '@/core/cabinet';
import { chromaOf, hexOf, valueOfLab, yOfValue, labOfXyz, type Lab } from '@/core/optics';
import { searchGlaze } from '@/core/optics/glaze-search';
import { reachAt } from '@/core/optics/strings';
import { opticalPaint } from '@/core/optics/tubes';
import { readColour } from '@/core/optics/wanted';
import { BINDERS } from '@/data/binders';
import { HUE_WORDS } from '@/data/colour-words';
import { parseNumber } from '@/forms';
import { useStoreSelector, useSwatches } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { ManyChoice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Stepper } from '@/ui/Stepper';
import { Heading, Text } from '@/ui/Text';
import { colour, font, space } from '@/ui/tokens';

/** A limited palette is the question: so many to begin with, and so many at most. */
const USUAL = 6;
const MOST = 12;
const HEIGHT = 150;
const MOST_CHROMA = 110;
const SECTOR = 10;

const lightnessOf = (value: number): number =>
  labOfXyz([0, yOfValue(value), 0], [100, 100, 100])[0];

/** What a few paints reach at one value: a skyline of chroma, hue by hue; and how near they come to a colour. */
export function ReachPart() {
  const paints = useStoreSelector((s) => s.cabinet.paints);
  const swatches = useSwatches();
  const all = useMemo(
    () => paints.filter((p) => !p.archived && BINDERS[p.binder].kind !== 'acrylic'),
    [paints],
  );
  const [picked, setPicked] = useState<string[] | null>(null);
  const [listed, setListed] = useState(false);
  const [value, setValue] = useState('5');
  const [text, setText] = useState('');
  const [width, setWidth] = useState(0);
  const ids = picked ?? all.slice(0, USUAL).map((p) => p.id);
  const used = useMemo(() => all.filter((p) => ids.includes(p.id)), [all, ids]);
  const tubes = useMemo(
    () => used.map((p) => opticalPaint({ own: asTube(p) }, swatches)),
    [used, swatches],
  );
  const at = parseNumber(value);
  const valid = at >= 0.5 && at <= 9.5;
  const lightness = valid ? lightnessOf(at) : 50;
  const reach = useMemo(() => reachAt(tubes, lightness), [tubes, lightness]);
  const wanted = readColour(text);
  const nearest = useMemo(() => {
    if (!wanted || tubes.length === 0) return null;
    const found = searchGlaze({
      paints: tubes,
      below: null,
      wanted,
      finish: 'oil-gloss',
      limits: { leastUm: 1, mostUm: 1, usualUm: 1, leastTube: 1, mostTube: 1 },
    });
    return found.answers[0] ?? null;
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the text says all of the colour
  }, [text, tubes]);
  return (
    <View style={{ gap: space.s }}>
      <Heading level={2}>What a palette reaches</Heading>
      <Action
        title={`${used.length} paints: ${used.map((p) => p.name).join(', ') || 'none'}`}
        kind="quiet"
        onPress={() => setListed(!listed)}
      />
      {listed ? (
        <ManyChoice
          label="Paints of the palette"
          options={all.map((p) => ({ key: p.id, name: p.name }))}
          values={ids}
          onChange={(chosen) => chosen.length <= MOST && setPicked(chosen)}
        />
      ) : null}
      {ids.length === MOST ? (
        <Text
          size="small"
          tone="ink2"
        >{`At most ${MOST} at once: take one out to put another in.`}</Text>
      ) : null}
      <Stepper
        label="At value"
        step={0.5}
        min={0.5}
        max={9.5}
        text={value}
        onChangeText={setValue}
        error={valid ? undefined : 'From 0.5 to 9.5.'}
      />
      <View onLayout={(e) => setWidth(Math.floor(e.nativeEvent.layout.width))}>
        {width > 0 ? <Skyline reach={reach} lightness={lightness} width={width} /> : null}
      </View>
      <Field
        label="A colour to reach: #rrggbb, or L* a* b*"
        value={text}
        onChangeText={setText}
        placeholder="52 18 30"
        error={text.trim() === '' || wanted ? undefined : 'Write it as #8f4a16, or as 52 18 30.'}
      />
      {wanted && nearest ? (
        <View style={styles.nearest}>
          <Pair one={wanted} other={nearest.lab} />
          <Text style={{ flex: 1 }}>
            {`${nearest.de < 2 ? 'Reached' : `Not reached: ${nearest.de.toFixed(0)} steps off`} with ${nearest.paints
              .map((p) => `${Math.max(1, Math.round(100 * p.um))} ${used[p.index]!.name}`)
              .join(
                ' : ',
              )}; value ${valueOfLab(nearest.lab).toFixed(1)}, chroma ${chromaOf(nearest.lab).toFixed(0)} of ${chromaOf(wanted).toFixed(0)}.`}
          </Text>
        </View>
      ) : null}
    </View>
  );
}

const Pair = ({ one, other }: { one: Lab; other: Lab }) => (
  <View style={{ flexDirection: 'row' }} aria-hidden>
    <View style={[styles.field, { backgroundColor: hexOf(one) }]} />
    <View style={[styles.field, { backgroundColor: hexOf(other) }]} />
  </View>
);

/** Chroma by hue, from red through yellow, green and blue back to purple: as high as it is reached. */
function Skyline({
  reach,
  lightness,
  width,
}: {
  reach: number[];
  lightness: number;
  width: number;
}) {
  const column = width / reach.length;
  const rad = Math.PI / 180;
  const words = HUE_WORDS.slice(1, -1);
  const most = Math.max(...reach);
  const gaps = words.filter(([below], i) => {
    const from = i === 0 ? 10 : words[i - 1]![0];
    return Math.max(...reach.slice(from / SECTOR, below / SECTOR)) < 4;
  });
  return (
    <View
      role="img"
      aria-label={`Most chroma ${most.toFixed(0)}.${gaps.length > 0 ? ` Nothing is reached of ${gaps.map(([, w]) => w).join(', ')}.` : ''}`}
    >
      <Svg width={width} height={HEIGHT + 22} aria-hidden>
        {[20, 60, 100].map((c) => (
          <Line
            key={c}
            x1={0}
            x2={width}
            y1={HEIGHT * (1 - c / MOST_CHROMA)}
            y2={HEIGHT * (1 - c / MOST_CHROMA)}
            stroke={colour.rule}
            strokeWidth={1}
          />
        ))}
        {reach.map((chroma, i) => {
          const hue = i * SECTOR + SECTOR / 2;
          const h = (HEIGHT * Math.min(MOST_CHROMA, chroma)) / MOST_CHROMA;
          const fill = hexOf([
            lightness,
            chroma * Math.cos(hue * rad),
            chroma * Math.sin(hue * rad),
          ]);
          return (
            <Rect
              key={i}
              x={i * column}
              y={HEIGHT - h}
              width={column + 0.5}
              height={h}
              fill={fill}
            />
          );
        })}
        <Line x1={0} x2={width} y1={HEIGHT} y2={HEIGHT} stroke={colour.ink} strokeWidth={1.5} />
        {[
          ['red', 25],
          ['yellow', 88],
          ['green', 160],
          ['blue', 260],
          ['violet', 310],
        ].map(([word, hue]) => (
          <SvgText
            key={word}
            x={((hue as number) / 360) * width}
            y={HEIGHT + 17}
            fontFamily={font.text}
            fontSize={15}
            textAnchor="middle"
            fill={colour.ink2}
          >
            {word}
          </SvgText>
        ))}
      </Svg>
    </View>
  );
}

const styles = StyleSheet.create({
  nearest: { flexDirection: 'row', alignItems: 'center', gap: space.m },
  field: { width: 44, height: 56 },
});
