import { useId } from 'react';
import { Circle, ClipPath, Defs, G, Path, Rect } from 'react-native-svg';
import type { GroundDrawing } from './step';

/** The cut through the support, not to scale: weave for cloth, grain for wood, felt for board. */
export function Support({
  kind,
  x,
  y,
  width,
  height,
}: {
  kind: GroundDrawing['support'];
  x: number;
  y: number;
  width: number;
  height: number;
}) {
  const clip = `s${useId().replace(/[^a-zA-Z0-9]/g, '')}`;
  return (
    <G clipPath={`url(#${clip})`}>
      <Defs>
        <ClipPath id={clip}>
          <Rect x={x} y={y} width={width} height={height} />
        </ClipPath>
      </Defs>
      <Rect x={x} y={y} width={width} height={height} fill={BODY[kind]} />
      {kind === 'canvas' || kind.startsWith('linen') ? (
        <Weave x={x} y={y} width={width} height={height} />
      ) : null}
      {kind === 'wood-panel' ? <Grain x={x} y={y} width={width} height={height} /> : null}
      {kind === 'fibreboard-panel' ? <Felt x={x} y={y} width={width} height={height} /> : null}
    </G>
  );
}

const BODY = {
  canvas: '#8F876F',
  linen: '#8A7F66',
  'linen-on-panel': '#93876C',
  'wood-panel': '#B79A6F',
  'fibreboard-panel': '#8B6B4C',
  'metal-panel': '#A5A3A0',
} as const;

interface Box {
  x: number;
  y: number;
  width: number;
  height: number;
}

function Weave({ x, y, width, height }: Box) {
  const middle = y + height / 2;
  const pitch = height * 1.05;
  const radius = height * 0.28;
  const threads = Array.from({ length: Math.ceil(width / pitch) + 1 }, (_, i) => x + i * pitch);
  const wave = threads
    .map((tx, i) => {
      const side = i % 2 === 0 ? -1 : 1;
      return `Q ${tx + pitch / 2} ${middle + side * height * 0.62} ${tx + pitch} ${middle}`;
    })
    .join(' ');
  return (
    <G>
      {threads.map((tx) => (
        <Circle
          key={tx}
          cx={tx + pitch / 2}
          cy={middle}
          r={radius}
          fill="#C3BBA3"
          stroke="#6B6450"
          strokeWidth={1}
        />
      ))}
      <Path
        d={`M ${x} ${middle} ${wave}`}
        stroke="#D8D1BC"
        strokeWidth={height * 0.14}
        fill="none"
      />
      <Path
        d={`M ${x} ${middle} ${wave}`}
        stroke="#6B6450"
        strokeWidth={1}
        strokeOpacity={0.6}
        fill="none"
      />
    </G>
  );
}

function Grain({ x, y, width, height }: Box) {
  return (
    <G>
      {[0.2, 0.42, 0.6, 0.83].map((share, i) => (
        <Path
          key={share}
          d={`M ${x} ${y + height * share} C ${x + width * 0.3} ${y + height * (share + 0.1)} ${x + width * 0.6} ${y + height * (share - 0.09)} ${x + width} ${y + height * (share + 0.03)}`}
          stroke="#8C6C42"
          strokeWidth={i % 2 ? 1 : 1.8}
          fill="none"
        />
      ))}
    </G>
  );
}

function Felt({ x, y, width, height }: Box) {
  const n = Math.floor(width / 9);
  return (
    <G>
      {Array.from({ length: n }, (_, i) => {
        const fx = x + i * 9 + ((i * 5) % 4);
        const fy = y + 4 + ((i * 37) % Math.max(1, height - 8));
        return (
          <Path
            key={i}
            d={`M ${fx} ${fy} l ${5 + (i % 3)} ${(i % 5) - 2}`}
            stroke="#5F4630"
            strokeWidth={1.2}
          />
        );
      })}
    </G>
  );
}
