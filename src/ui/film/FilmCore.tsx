import Svg, { G, Rect } from 'react-native-svg';
import { colour } from '../tokens';
import { scaleFor, stackBands } from './geometry';
import type { FilmStep, GroundDrawing } from './step';
import { Support } from './Support';

/** The film of a passage, small: it names the passage wherever it stands. */
export function FilmCore({
  steps,
  ground,
  height = 72,
  width = 34,
}: {
  steps: FilmStep[];
  ground: GroundDrawing;
  height?: number;
  width?: number;
}) {
  const supportHeight = 9;
  // An oil ground is one of the films; gesso and old paint are drawn below them.
  const groundHeight = ground.kind === 'oil-ground' ? 0 : 16;
  const room = height - supportHeight - groundHeight - 2;
  const scale = scaleFor(steps, room, 0.45);
  const groundTop = height - supportHeight - groundHeight;
  const bands = stackBands(
    { steps, bottomY: groundTop, pxPerUm: scale, stairWidth: width },
    [0, 1],
  );
  return (
    <Svg width={width} height={height} aria-hidden>
      <Support
        kind={ground.support}
        x={0}
        y={height - supportHeight}
        width={width}
        height={supportHeight}
      />
      <Rect x={0} y={groundTop} width={width} height={groundHeight} fill={ground.colour} />
      {bands.map(({ step, y, height: h }) => (
        <G key={step.key}>
          <Rect
            x={step.state === 'planned' ? 0.75 : 0}
            y={y}
            width={step.state === 'planned' ? width - 1.5 : width}
            height={h}
            fill={step.colour}
            fillOpacity={step.state === 'planned' ? 0.45 : 1}
            {...(step.state === 'planned'
              ? { stroke: colour.ink2, strokeWidth: 1, strokeDasharray: '3 2' }
              : {})}
          />
          {step.broken ? (
            <Rect x={width - 8} y={y} width={8} height={h} fill={colour.brick} />
          ) : null}
        </G>
      ))}
    </Svg>
  );
}
