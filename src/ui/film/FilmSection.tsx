import { Pressable, StyleSheet, View } from 'react-native';
import Svg, { Text as SvgText } from 'react-native-svg';
import { Text } from '../Text';
import { colour, font, space } from '../tokens';
import { measureRange, scaleFor, spreadLabels, stackBands } from './geometry';
import { CutBand, CutGround, GROUND_PX, Leader, ScaleBar, StairStep } from './section-parts';
import { StateTag } from './StateSwatch';
import type { FilmStep, GroundDrawing } from './step';
import { Support } from './Support';
import { TextureDefs, useTextures } from './textures';

interface Props {
  steps: FilmStep[];
  ground: GroundDrawing;
  measureName: string;
  width: number;
  height: number;
  chosen: string | null;
  onChoose: (key: string) => void;
}

const SUPPORT_PX = 44;
const TOP_PX = 14;
const LABEL_GAP = 48;
const LABEL_WIDTH = 138;

/** The cut through the film of one passage: thickness to scale, drying as texture, the stair beside it. */
export function FilmSection(props: Props) {
  const { steps, ground, width, measureName, chosen, onChoose } = props;
  const { id, fill } = useTextures();
  const height = Math.max(props.height, steps.length * LABEL_GAP + SUPPORT_PX + 60);
  const cut = Math.round((width - LABEL_WIDTH) * 0.46);
  const stair = width - LABEL_WIDTH - cut - 58;
  const oilGround = ground.kind === 'oil-ground';
  const floor = height - SUPPORT_PX - (oilGround ? 0 : GROUND_PX);
  const scale = scaleFor(steps, floor - TOP_PX, 4);
  const bands = stackBands(
    { steps, bottomY: floor, pxPerUm: scale, stairWidth: stair },
    measureRange(steps),
  );
  const labels = spreadLabels(
    bands.map((b) => b.y + b.height / 2 - 24),
    LABEL_GAP,
    0,
    height - SUPPORT_PX - 30,
  );
  return (
    <View>
      <View style={styles.legend}>
        <Text size="small" tone="ink2" style={{ width: cut }}>
          the film
        </Text>
        <Text size="small" tone="ink2">
          {measureName}
        </Text>
      </View>
      <View style={{ width, height }}>
        <Svg width={width} height={height} aria-hidden>
          <TextureDefs id={id} />
          {bands
            .map((_, n) => bands.length - 1 - n)
            .map((i) => (
              <CutBand
                key={bands[i]!.step.key}
                band={bands[i]!}
                seed={i}
                width={cut}
                texture={fill(bands[i]!.step.state)}
                grain={fill('grain')!}
              />
            ))}
          {oilGround ? null : (
            <CutGround ground={ground} width={cut} y={floor} grain={fill('grain')!} />
          )}
          {bands.map((band, i) => (
            <StairStep
              key={band.step.key}
              band={band}
              below={bands[i - 1] ?? null}
              x={cut}
              brokenFill={fill('broken')!}
            />
          ))}
          {bands.map((band, i) => (
            <Leader
              key={band.step.key}
              band={band}
              below={bands[i - 1] ?? null}
              x={cut}
              labelX={width - LABEL_WIDTH - 6}
              labelY={labels[i]! + 14}
            />
          ))}
          <Support
            kind={ground.support}
            x={0}
            y={height - SUPPORT_PX}
            width={cut}
            height={SUPPORT_PX}
          />
          <SvgText
            x={cut + 8}
            y={height - SUPPORT_PX / 2 + 5}
            fontFamily={font.text}
            fontSize={14}
            fill={colour.ink2}
          >
            {ground.label}
          </SvgText>
          <ScaleBar scale={scale} floor={floor} />
        </Svg>
        {bands.map((band, i) => (
          <SectionLabel
            key={band.step.key}
            step={band.step}
            top={labels[i]!}
            left={width - LABEL_WIDTH}
            chosen={band.step.key === chosen}
            onPress={() => onChoose(band.step.key)}
          />
        ))}
      </View>
      {steps
        .filter((step) => step.letOff)
        .map((step) => (
          <Text key={step.key} size="small" tone="ink2" style={{ marginTop: space.s }}>
            {`${step.name} is narrower than what it lies on: ${step.letOff}.`}
          </Text>
        ))}
    </View>
  );
}

function SectionLabel({
  step,
  top,
  left,
  chosen,
  onPress,
}: {
  step: FilmStep;
  top: number;
  left: number;
  chosen: boolean;
  onPress: () => void;
}) {
  return (
    <Pressable
      accessibilityRole="button"
      aria-label={`${step.name}, ${step.state}${step.broken ? ', breaks the rule' : ''}`}
      aria-pressed={chosen}
      onPress={onPress}
      style={[styles.label, { top, left }, chosen && styles.chosen]}
    >
      <Text
        strong
        size="small"
        numberOfLines={1}
        tone={step.broken ? 'brick' : 'ink'}
        style={chosen ? { textDecorationLine: 'underline' } : null}
      >
        {step.name}
      </Text>
      <StateTag state={step.state} />
    </Pressable>
  );
}

const styles = StyleSheet.create({
  legend: { flexDirection: 'row', marginBottom: space.xs },
  label: {
    position: 'absolute',
    width: LABEL_WIDTH,
    height: 48,
    justifyContent: 'center',
    borderRadius: 6,
    paddingLeft: 4,
  },
  chosen: { backgroundColor: colour.sheet },
});
