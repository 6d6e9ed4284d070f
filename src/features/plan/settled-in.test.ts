import { USUAL_DEADLINE } from '@/core/painting/deadline';
import { newPainting } from '@/core/tests/paintings';
import { settledIn } from './settled-in';
import type { PaintingPlanView, PlanView } from './usePlanView';

const PAINTING = newPainting();
const lane = (passageId: string, laidMs: number): PaintingPlanView['lanes'][number] => ({
  passageId,
  name: passageId,
  films: [],
  next: null,
  bands: [
    {
      key: 'a',
      colour: '#000000',
      thicknessUm: 20,
      planned: true,
      laidMs,
      laidByMs: laidMs,
      openMs: laidMs + 1,
      setMs: laidMs + 2,
      touchMs: laidMs + 3,
      throughMs: laidMs + 4,
    },
  ],
});
const view = (lanes: PaintingPlanView['lanes'], sessionAt = 5): PlanView => ({
  nowMs: 0,
  fromMs: 0,
  toMs: 100,
  days: [],
  sessions: [{ window: 0, fromMs: sessionAt, toMs: sessionAt + 1, works: [] }],
  bandSessions: [
    { key: 'x', fromMs: 5, toMs: 6, pinned: false, name: 'x' },
    { key: 'y', fromMs: sessionAt, toMs: sessionAt + 1, pinned: false, name: 'y' },
  ],
  paintings: [
    {
      painting: PAINTING,
      milestone: USUAL_DEADLINE.milestone,
      dueMs: null,
      goal: null,
      delays: null,
      delayed: null,
      chain: [],
      groundColour: '#FFFFFF',
      lanes,
    },
  ],
  impossible: [],
  hoursToday: false,
  nameOf: () => '',
  stepOf: () => null,
});

test('a view that says the same again is made of the same parts', () => {
  const first = settledIn(null, view([lane('jars', 10), lane('wall', 20)]));
  const again = settledIn(first, view([lane('jars', 10), lane('wall', 20)]));
  expect(again.paintings[0]).toBe(first.paintings[0]);
  expect(again.sessions).toBe(first.sessions);
  expect(again.bandSessions).toBe(first.bandSessions);
});

test('what has changed is new, and what stands beside it is not', () => {
  const first = settledIn(null, view([lane('jars', 10), lane('wall', 20)]));
  const next = settledIn(first, view([lane('jars', 10), lane('wall', 25)], 7));
  expect(next.paintings[0]!.lanes[0]).toBe(first.paintings[0]!.lanes[0]);
  expect(next.paintings[0]!.lanes[1]!.bands[0]!.laidMs).toBe(25);
  expect(next.sessions[0]!.fromMs).toBe(7);
  expect(next.bandSessions[0]).toBe(first.bandSessions[0]);
  expect(next.bandSessions[1]!.fromMs).toBe(7);
});
