import { G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { colour, font } from '../tokens';
import { brushedEdge, scaleBarUm, type Band } from './geometry';
import type { GroundDrawing } from './step';

/** The parts of the section: the cut on the left, the stair beside it, leaders and the scale bar. */

export const GROUND_PX = 70;

/** Gesso or an old painting: cut short, since only what lies on it is to scale. */
export function CutGround({
  ground,
  width,
  y,
  grain,
}: {
  ground: GroundDrawing;
  width: number;
  y: number;
  grain: string;
}) {
  return (
    <G>
      <Rect x={0} y={y} width={width} height={GROUND_PX} fill={ground.colour} />
      <Rect x={0} y={y} width={width} height={GROUND_PX} fill={grain} />
      {[0, 5].map((dy) => (
        <Path
          key={dy}
          d={`M 0 ${y + 46 + dy} l ${width * 0.46} 0 l 6 -7 l 8 14 l 6 -7 L ${width} ${y + 46 + dy}`}
          stroke={colour.ink2}
          strokeWidth={1}
          fill="none"
        />
      ))}
      {ground.kind === 'old-painting' ? (
        <SvgText
          x={width / 2}
          y={y + 30}
          textAnchor="middle"
          fontFamily={font.strong}
          fontSize={20}
          fill={colour.ink}
        >
          ?
        </SvgText>
      ) : null}
    </G>
  );
}

export function CutBand({
  band,
  seed,
  width,
  texture,
  grain,
}: {
  band: Band;
  seed: number;
  width: number;
  texture: string | null;
  grain: string;
}) {
  const { step, y, height } = band;
  const planned = step.state === 'planned';
  const rough = Math.min(4, height * 0.2);
  const top = brushedEdge(0, width, y, rough, seed + 1);
  // Drawn from the top down: each film reaches a little under its lower edge, and the one below covers that.
  const shape = `M ${top} L ${width} ${y + height + 5} L 0 ${y + height + 5} Z`;
  return (
    <G>
      <Path d={shape} fill={colour.wall} />
      <Path d={shape} fill={step.colour} fillOpacity={planned ? 0.5 : 1} />
      {planned ? null : <Path d={shape} fill={grain} />}
      {texture ? <Path d={shape} fill={texture} /> : null}
      <Path
        d={`M ${top}`}
        stroke={planned ? colour.ink2 : colour.ink}
        strokeOpacity={planned ? 1 : 0.55}
        strokeWidth={1.2}
        fill="none"
        {...(planned ? { strokeDasharray: '5 4' } : {})}
      />
    </G>
  );
}

/** What is missing against the film below, and never too thin to see. */
const notchWidth = (band: Band, below: Band | null): number =>
  Math.max(12, (below?.width ?? 0) - band.width);

/** What is missing against the film below, and let off: an outline only. */
export function LetOff({ band, below, x }: { band: Band; below: Band | null; x: number }) {
  if (!band.step.letOff || !below || below.width <= band.width) return null;
  return (
    <Rect
      x={x + band.width}
      y={band.y + 1}
      width={below.width - band.width}
      height={Math.max(3, band.height - 2)}
      fill="none"
      stroke={colour.ink2}
      strokeWidth={1.2}
      strokeDasharray="1.5 3.5"
      strokeLinecap="round"
    />
  );
}

export function StairStep({
  band,
  below,
  x,
  brokenFill,
}: {
  band: Band;
  below: Band | null;
  x: number;
  brokenFill: string;
}) {
  const { step, y, height, width } = band;
  if (step.unspoken && !step.broken) return null;
  const planned = step.state === 'planned';
  const notch = step.broken ? notchWidth(band, below) : 0;
  const unknown = step.measure === null;
  return (
    <G>
      <Rect
        x={x}
        y={y}
        width={width}
        height={height}
        fill={step.colour}
        fillOpacity={planned ? 0.25 : 0.5}
      />
      {unknown ? null : (
        <Path
          d={`M ${x + width} ${y} V ${y + height}${below && below.step.measure !== null ? ` H ${x + below.width}` : ''}`}
          stroke={step.broken ? colour.brick : colour.ink}
          strokeWidth={2}
          fill="none"
          {...(planned ? { strokeDasharray: '5 4' } : {})}
        />
      )}
      <LetOff band={band} below={below} x={x} />
      {notch > 0 ? (
        <Rect
          x={x + width}
          y={y + 1}
          width={notch}
          height={Math.max(3, height - 2)}
          fill={brokenFill}
          stroke={colour.brick}
          strokeWidth={2.5}
        />
      ) : null}
    </G>
  );
}

export function Leader({
  band,
  below,
  x,
  labelX,
  labelY,
}: {
  band: Band;
  below: Band | null;
  x: number;
  labelX: number;
  labelY: number;
}) {
  const { step, y, height, width } = band;
  // Right of the notch, or of the outline of what is let off.
  const missing = step.letOff ? Math.max(0, (below?.width ?? 0) - width) : 0;
  const textX = x + width + 8 + (step.broken ? notchWidth(band, below) : missing);
  const middle = y + height / 2;
  const tint = step.broken ? colour.brick : colour.ink2;
  const from = textX + Math.max(1.5, step.figure.length) * 8 + 4;
  const bend = Math.max(from + 4, labelX - 26);
  return (
    <G>
      <SvgText
        x={textX}
        y={middle + 5}
        fontFamily={font.strong}
        fontSize={16}
        fill={step.broken ? colour.brick : colour.ink}
      >
        {step.unspoken ? '–' : step.measure === null ? '?' : step.figure}
      </SvgText>
      <Path
        d={`M ${from} ${middle} H ${bend} C ${bend + 12} ${middle} ${bend + 8} ${labelY} ${labelX} ${labelY}`}
        stroke={tint}
        strokeWidth={1}
        fill="none"
      />
    </G>
  );
}

export function ScaleBar({ scale, floor }: { scale: number; floor: number }) {
  const um = scaleBarUm(scale);
  const length = um * scale;
  const x = 18;
  const bottom = floor - 8;
  if (bottom - length < 4) return null;
  return (
    <G>
      {[5, 1.6].map((w) => (
        <G
          key={w}
          stroke={w > 2 ? colour.sheet : colour.ink}
          strokeWidth={w}
          strokeOpacity={w > 2 ? 0.7 : 1}
        >
          <Line x1={x} x2={x} y1={bottom - length} y2={bottom} />
          <Line x1={x - 5} x2={x + 5} y1={bottom} y2={bottom} />
          <Line x1={x - 5} x2={x + 5} y1={bottom - length} y2={bottom - length} />
        </G>
      ))}
      <Rect
        x={x + 8}
        y={bottom - length / 2 - 11}
        width={String(um).length * 9 + 30}
        height={22}
        rx={4}
        fill={colour.sheet}
        fillOpacity={0.8}
      />
      <SvgText
        x={x + 13}
        y={bottom - length / 2 + 5}
        fontFamily={font.strong}
        fontSize={15}
        fill={colour.ink}
      >
        {`${um} µm`}
      </SvgText>
    </G>
  );
}
