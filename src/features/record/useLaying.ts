import { useState } from 'react';
import { coatOf, isBegun, unlaidPassages, type Coat, type Painting } from '@/core/painting';
import { overruleCoat } from '@/core/painting/coats';
import { implausible } from '@/core/painting/correct';
import { recordLaying } from '@/core/painting/record';
import type { RuleKey } from '@/core/rules/records';
import { useForm } from '@/forms';
import { changePainting } from '@/store/actions';
import { nowIso, nowMs as presentMs } from '@/store/clock';
import { useStoreDispatch } from '@/store/hooks';
import { layingFormSchema, type LayingForm } from './laying-form';
import { useRecord } from './useRecord';
import { useToldLaying } from './useToldLaying';
import { whenIso, whenNow } from './WhenChoice';

export interface LayProps {
  painting: Painting;
  coatId: string;
  passageId: string;
  nowMs: number;
  /** Passages it begins with, where they are known. */
  passageIds?: string[];
  /** More of it where it lies already. */
  more?: boolean;
  /** Said where nothing was added, of paint that was only moved. */
  onNothing?: () => void;
  onClose: () => void;
  /** Called when it has been laid. */
  onLaid?: () => void;
}

/** Passages on which some of a coat lies. */
const laidPassages = (painting: Painting, coat: Coat): string[] =>
  coat.passageIds.filter((id) =>
    painting.events.some(
      (e) => e.kind === 'laid' && e.coatId === coat.id && e.passageIds.includes(id),
    ),
  );

/** A laying while it is entered: judged by what lay there at the hour it was laid. */
export function useLaying({
  painting,
  coatId,
  passageId,
  passageIds,
  nowMs,
  more = false,
  onClose,
  onLaid,
}: LayProps) {
  const dispatch = useStoreDispatch();
  const { record, note, oneStep, refusal, setRefusal } = useRecord();
  const coat = coatOf(painting, coatId);
  const takes = more ? laidPassages(painting, coat) : unlaidPassages(painting, coat);
  const [fresh] = useState((): LayingForm => ({
    chosen: passageIds
      ? takes.filter((id) => passageIds.includes(id))
      : takes.includes(passageId) && takes.length > 1 && coat.role !== 'tone'
        ? [passageId]
        : takes,
    spot: coat.spot,
    wet: null,
    when: whenNow(nowMs),
    more: 1,
  }));
  const form = useForm({
    key: `laying:${painting.id}:${coatId}:${passageId}${more ? ':more' : ''}`,
    schema: layingFormSchema,
    document: fresh,
    isNew: true,
  });
  const { spot, wet, when } = form.draft;
  // A draft may be older than what was laid since.
  const chosen = form.draft.chosen.filter((id) => takes.includes(id));
  // The present of the screen is told by the half minute; a coat may have been laid since.
  const [openedMs] = useState(presentMs);
  const atMs = Date.parse(whenIso(when, openedMs));
  const place = form.value ? form.value.spot : coat.spot;
  // By what lay there at that hour, which may be days back, whatever was entered since.
  const told = useToldLaying(painting, coat, chosen, place, Number.isNaN(atMs) ? openedMs : atMs);
  const intoWet = wet ?? told.open.length > 0;
  const at = whenIso(when, when.when === 'now' ? presentMs() : nowMs);
  const doubt = Number.isNaN(atMs) ? null : implausible(painting, at, nowIso());
  const [sure, setSure] = useState<string | null>(null);
  const lay = () => {
    const value = form.value;
    if (!value) return setRefusal({ where: '', message: form.issues[0]!.message });
    if (doubt !== null && sure !== at) return setSure(at);
    const what = `Laid ${coat.name.toLowerCase()}`;
    const done = value.spot === null || coat.spot !== null;
    let laid = false;
    oneStep(what, () => {
      laid = record(painting.id, what, (p, o, making) =>
        recordLaying(
          p,
          {
            coatId,
            passageIds: chosen,
            at,
            spot: value.spot,
            wet: value.wet,
            ...(more ? { more: value.more ?? 1 } : {}),
          },
          o,
          making,
        ),
      );
      if (laid)
        note({ paintingId: painting.id, passageIds: chosen, coatId, name: coat.name, done }, at);
    });
    if (!laid) return;
    form.keep(() => undefined);
    onLaid?.();
    onClose();
  };
  const overrule = (rule: RuleKey, reason: string | null) =>
    void dispatch(
      changePainting(painting.id, 'Overruled, with a reason', (p, making) =>
        overruleCoat(p, coatId, rule, reason, making),
      ),
    );
  return {
    told,
    overrule,
    coat,
    takes,
    form,
    chosen,
    spot,
    intoWet,
    when,
    refusal,
    lay,
    atMs,
    asking: doubt !== null && sure === at ? doubt : null,
    rest: chosen.some((id) => isBegun(painting, coat, id)),
  };
}

export type Laying = ReturnType<typeof useLaying>;
