import type { Pair } from '@/core/looking/relations';
import type { Picture } from '@/core/looking/schema';
import type { Painting } from '@/core/painting';
import { Distance } from './Distance';
import { Drawing } from './Drawing';
import { Edges } from './Edges';
import { OverTime } from './OverTime';
import type { LookState } from './useLook';
import { Values } from './Values';

export const QUESTIONS = [
  { key: 'values', name: 'values' },
  { key: 'edges', name: 'edges' },
  { key: 'drawing', name: 'drawing' },
  { key: 'distance', name: 'distance' },
  { key: 'time', name: 'over time' },
] as const;
export type Question = (typeof QUESTIONS)[number]['key'];

/** What is asked of the photo. */
export function Asked({
  question,
  painting,
  work,
  works,
  design,
  references,
  before,
  state,
  pairs,
  width,
  shown,
  distance,
  view,
}: {
  question: Question;
  painting: Painting;
  work: Picture;
  works: Picture[];
  design: Picture | null;
  references: Picture[];
  /** The photo before it. */
  before: Picture | null;
  state: LookState;
  pairs: Pair[];
  /** Of the page, and of a picture that stands alone on it. */
  width: number;
  shown: number;
  distance: { m: number; set: (m: number) => void };
  /** From how far borders are judged, as it is typed. */
  view: { m: string; set: (text: string) => void };
}) {
  return question === 'values' ? (
    <Values
      painting={painting}
      work={work}
      design={design}
      references={references}
      state={state}
      pairs={pairs}
      width={width}
    />
  ) : question === 'edges' ? (
    <Edges
      painting={painting}
      work={work}
      state={state}
      width={shown}
      viewM={view.m}
      onViewM={view.set}
    />
  ) : question === 'drawing' ? (
    <Drawing painting={painting} work={work} design={design} state={state} width={shown} />
  ) : question === 'distance' ? (
    <Distance
      painting={painting}
      work={work}
      state={state}
      width={shown}
      m={distance.m}
      onM={distance.set}
    />
  ) : (
    <OverTime
      painting={painting}
      work={work}
      works={works}
      before={before}
      state={state}
      width={shown}
      page={width}
    />
  );
}
