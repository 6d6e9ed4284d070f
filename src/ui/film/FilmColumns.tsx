import { StyleSheet, View } from 'react-native';
import Svg, { G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { GoTo } from '../GoTo';
import { Text } from '../Text';
import { colour, font, space } from '../tokens';
import { measureRange, scaleFor, stackBands, type Band } from './geometry';
import { LetOff } from './section-parts';
import { StateTag } from './StateSwatch';
import type { FilmState, FilmStep, GroundDrawing } from './step';
import { Support } from './Support';
import { TextureDefs, useTextures } from './textures';

export interface Column {
  key: string;
  name: string;
  steps: FilmStep[];
  state: FilmState;
  /** What is due, in a few words. */
  due: string;
  broken: string | null;
}

interface Props {
  columns: Column[];
  ground: GroundDrawing;
  width: number;
  height: number;
  measureName: string;
  hrefOf: (key: string) => string;
  onOpen: (key: string) => void;
}

const SUPPORT_PX = 26;
const GROUND_PX = 34;
const groundPx = (ground: GroundDrawing): number => (ground.kind === 'oil-ground' ? 0 : GROUND_PX);
const LINE_UM = 50;
const TOP_PX = 26;

/** All passages side by side: height is the dry film, width is fatness. */
export function FilmColumns({
  columns,
  ground,
  width,
  height,
  measureName,
  hrefOf,
  onOpen,
}: Props) {
  const { id, fill } = useTextures();
  const slot = width / columns.length;
  const stair = slot * 0.82;
  const floor = height - SUPPORT_PX - groundPx(ground);
  const tallest = columns.map((c) => c.steps).sort((a, b) => total(b) - total(a))[0] ?? [];
  const scale = scaleFor(tallest, floor - TOP_PX, 3);
  const range = measureRange(columns.flatMap((c) => c.steps));
  const lines = linesBelow(floor, scale);
  return (
    <View>
      <View style={styles.legend}>
        <Text size="small" tone="ink2">
          width: {measureName}
        </Text>
        <Text size="small" tone="ink2">
          line = {lines.um} µm
        </Text>
      </View>
      <Svg width={width} height={height} aria-hidden>
        <TextureDefs id={id} />
        {lines.ys.map((y) => (
          <Line key={y} x1={0} x2={width} y1={y} y2={y} stroke={colour.rule} strokeWidth={1} />
        ))}
        <Support
          kind={ground.support}
          x={0}
          y={height - SUPPORT_PX}
          width={width}
          height={SUPPORT_PX}
        />
        {columns.map((column, i) => {
          const bands = stackBands(
            { steps: column.steps, bottomY: floor, pxPerUm: scale, stairWidth: stair },
            range,
          );
          const x = i * slot;
          return (
            <G key={column.key}>
              <Rect
                x={x}
                y={floor}
                width={stair * 0.3}
                height={groundPx(ground)}
                fill={ground.colour}
              />
              {bands.map((band, n) => (
                <StairBand
                  key={band.step.key}
                  band={band}
                  below={bands[n - 1] ?? null}
                  x={x}
                  texture={fill(band.step.state)}
                  brokenFill={fill('broken')!}
                />
              ))}
            </G>
          );
        })}
      </Svg>
      <View style={{ flexDirection: 'row' }}>
        {columns.map((column) => (
          <ColumnFoot
            key={column.key}
            column={column}
            width={slot}
            href={hrefOf(column.key)}
            onOpen={() => onOpen(column.key)}
          />
        ))}
      </View>
    </View>
  );
}

const total = (steps: FilmStep[]): number => steps.reduce((s, step) => s + step.thicknessUm, 0);

/** Lines every 50 um, or further apart where the film is thick. */
function linesBelow(floor: number, scale: number): { um: number; ys: number[] } {
  const um = [LINE_UM, 100, 200, 500, 1000, 2000].find((u) => u * scale >= 34) ?? 5000;
  const ys: number[] = [];
  for (let y = floor - um * scale; y > 8; y -= um * scale) ys.push(y);
  return { um, ys };
}

interface StairBandProps {
  band: Band;
  below: Band | null;
  x: number;
  texture: string | null;
  brokenFill: string;
}

function StairBand({ band, below, x, texture, brokenFill }: StairBandProps) {
  const { step, y, height, width } = band;
  const planned = step.state === 'planned';
  const notch = step.broken && below ? Math.max(8, below.width - width) : 0;
  return (
    <G>
      <Rect
        x={x}
        y={y}
        width={width}
        height={height}
        fill={step.colour}
        fillOpacity={planned ? 0.45 : 1}
      />
      {texture ? <Rect x={x} y={y} width={width} height={height} fill={texture} /> : null}
      <Path
        d={`M ${x} ${y} H ${x + width} V ${y + height}`}
        stroke={planned ? colour.ink2 : colour.ink}
        strokeWidth={planned ? 1.2 : 1.5}
        fill="none"
        {...(planned ? { strokeDasharray: '5 4' } : {})}
      />
      <LetOff band={band} below={below} x={x} />
      {notch > 0 ? (
        <Rect
          x={x + width}
          y={y + 1}
          width={notch}
          height={height - 2}
          fill={brokenFill}
          stroke={colour.brick}
          strokeWidth={2}
        />
      ) : null}
      {step.state === 'unknown' ? (
        <SvgText
          x={x + width / 2}
          y={y + height / 2 + 5}
          textAnchor="middle"
          fontFamily={font.strong}
          fontSize={15}
          fill={colour.ink}
        >
          ?
        </SvgText>
      ) : null}
    </G>
  );
}

function ColumnFoot({
  column,
  width,
  href,
  onOpen,
}: {
  column: Column;
  width: number;
  href: string;
  onOpen: () => void;
}) {
  return (
    <GoTo
      label={`${column.name}: open the section`}
      href={href}
      onGo={onOpen}
      style={[styles.foot, { width }]}
    >
      <Text strong numberOfLines={2}>
        {column.name}
      </Text>
      <StateTag state={column.state} stacked />
      <Text size="small" tone={column.broken ? 'brick' : 'ink2'} strong={column.broken !== null}>
        {column.broken ?? column.due}
      </Text>
    </GoTo>
  );
}

const styles = StyleSheet.create({
  legend: { flexDirection: 'row', justifyContent: 'space-between', marginBottom: space.xs },
  foot: { paddingTop: space.s, paddingRight: space.s, minHeight: 88, gap: 2 },
});
