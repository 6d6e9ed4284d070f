import { useMemo, useState } from 'react';
import type { Finding } from '@/data/learning';
import { type Layer, type Painting, type Passage, type SiteStack } from '@/core/painting';
import { touchFilm } from '@/core/painting/touch';
import { type TodayRow } from '@/core/today';
import { worthATouch } from '@/core/today/worth';
import type { WhenValue } from '@/features/record/laying-form';
import { useRecord } from '@/features/record/useRecord';
import { whenIso, whenNow } from '@/features/record/WhenChoice';
import { useNow, useStoreSelector } from '@/store/hooks';
import { selectTouchable } from '@/store/select';
import { nowMs as presentMs } from '@/store/clock';

/** A film that can be touched. */
export interface Touchable {
  key: string;
  painting: Painting;
  passage: Passage;
  spotName: string | null;
  stack: SiteStack;
  top: Layer;
  /** 0 to 1; 0 where a touch would tell nothing. */
  worth: number;
}

const keyOf = (row: Pick<TodayRow, 'painting' | 'passage' | 'spotName'>): string =>
  `${row.painting.id}|${row.passage.id}|${row.spotName ?? ''}`;

/** Everything that was laid and is no old film yet, the most worth a touch first. */
function touchables(rows: TodayRow[], worth: Map<string, number>): Touchable[] {
  return rows
    .flatMap((row): Touchable[] =>
      row.top && row.top.film.coatIds.length > 0 && row.top.times.kind !== 'other'
        ? [{ ...row, key: keyOf(row), top: row.top, worth: worth.get(keyOf(row)) ?? 0 }]
        : [],
    )
    .sort((a, b) => b.worth - a.worth || (b.top.film.laidAtMs ?? 0) - (a.top.film.laidAtMs ?? 0));
}

/** What was just noted: the forecast as it was, to be seen beside the new one. */
export interface Noted {
  key: string;
  finding: Finding;
  eventId: string;
  before: { p50: number | null; p90: number | null };
  /** Readiness is told of touch-dry, or of through-dry once the film is past it. */
  stage: 'touchDry' | 'throughDry';
}

export interface TouchView {
  nowMs: number;
  list: Touchable[];
  chosen: Touchable | null;
  choose(key: string): void;
  finding: Finding | null;
  find(finding: Finding): void;
  twistMarks: boolean;
  setTwistMarks(marks: boolean): void;
  /** When it was touched; now unless somebody says otherwise. */
  when: WhenValue;
  setWhen(when: WhenValue): void;
  /** Why it could not be noted. */
  refusal: string;
  note(): void;
  /** The film most worth a touch after this one. */
  next(): void;
  noted: Noted | null;
  /** Whether the worker has answered since. */
  settled: boolean;
}

export function useTouch(wanted: { painting: string | null; passage: string | null }): TouchView {
  const nowMs = useNow();
  const learned = useStoreSelector((state) => state.learned.learned);
  const groups = useStoreSelector(selectTouchable);
  const list = useMemo(() => {
    const rows = [...groups['still-open'], ...groups['leave-alone'], ...groups['takes-a-coat']];
    const worth = new Map(worthATouch(rows, learned, nowMs).map((w) => [keyOf(w.row), w.worth]));
    return touchables(rows, worth);
  }, [groups, learned, nowMs]);
  const [key, setKey] = useState<string | null>(null);
  const [finding, setFinding] = useState<Finding | null>(null);
  const [twistMarks, setTwistMarks] = useState(false);
  const [when, setWhen] = useState(() => whenNow(presentMs()));
  const { record, refusal, setRefusal } = useRecord();
  const [noted, setNoted] = useState<(Noted & { learnedThen: typeof learned }) | null>(null);
  const asked = list.find(
    (t) => t.painting.id === wanted.painting && t.passage.id === wanted.passage,
  );
  const chosen = list.find((t) => t.key === key) ?? asked ?? list[0] ?? null;
  const fresh = (): void => {
    setFinding(null);
    setTwistMarks(false);
    setWhen(whenNow(presentMs()));
    setRefusal(null);
  };
  const choose = (next: string): void => {
    setKey(next);
    fresh();
    setNoted(null);
  };
  return {
    nowMs,
    list,
    chosen,
    choose,
    next() {
      const after = list.find((t) => t.key !== chosen?.key && t.worth > 0) ?? list[0];
      if (after) choose(after.key);
    },
    finding,
    find(next) {
      setFinding(next);
      setNoted(null);
    },
    twistMarks,
    setTwistMarks,
    when,
    setWhen(next) {
      setWhen(next);
      setRefusal(null);
    },
    refusal: refusal?.message ?? '',
    note() {
      if (!chosen || !finding) return;
      const { painting, passage, spotName, top } = chosen;
      const stage =
        top.state === 'touch-dry' || top.state === 'through-dry' ? 'throughDry' : 'touchDry';
      const window = top.windows?.[stage];
      let eventId = '';
      const done = record(painting.id, `Touched ${passage.name}: ${finding}`, (p, _o, making) => {
        const after = touchFilm(
          p,
          {
            passageId: passage.id,
            spotName,
            at: whenIso(when, presentMs()),
            finding,
            twistMarks: twistMarks && finding !== 'through-dry',
          },
          making,
        );
        eventId = after.events.at(-1)!.id;
        return after;
      });
      if (!done) return;
      setNoted({
        key: chosen.key,
        finding,
        eventId,
        stage,
        before: { p50: window?.p50 ?? null, p90: window?.p90 ?? null },
        learnedThen: learned,
      });
      // The chosen film stays in sight, however the list is ordered now.
      setKey(chosen.key);
      fresh();
    },
    // Taken back, here or from the bar below: there is nothing to compare any more.
    noted: noted && chosen?.painting.events.some((e) => e.id === noted.eventId) ? noted : null,
    settled: noted !== null && noted.learnedThen !== learned,
  };
}
