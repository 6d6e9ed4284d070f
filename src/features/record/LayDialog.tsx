import { useMemo, useState } from 'react';
import { View } from 'react-native';
import {
  assessAt,
  coatOf,
  isBegun,
  stackAt,
  topAt,
  unlaidPassages,
  type Coat,
  type Layer,
  type Painting,
} from '@/core/painting';
import { openAt, liftsAt } from '@/core/painting';
import { overruleCoat } from '@/core/painting/coats';
import { implausible, recordLaying, wipesOff } from '@/core/painting/record';
import { stops, type Finding } from '@/core/rules';
import { gravestByRule } from '@/core/tell';
import type { RuleKey } from '@/core/rules/records';
import { FindingNotices } from '@/features/findings/FindingNotices';
import { knownParts, PartFields } from './PartFields';
import { useRecord } from './useRecord';
import { useForm } from '@/forms';
import { changePainting } from '@/store/actions';
import { nowIso, nowMs as presentMs } from '@/store/clock';
import { useStoreDispatch } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Choice, ManyChoice } from '@/ui/Choice';
import { Notice } from '@/ui/Notice';
import { Sheet } from '@/ui/Sheet';
import { Heading, Text } from '@/ui/Text';
import { about } from '@/ui/time/words';
import { space } from '@/ui/tokens';
import { layingFormSchema, type LayingForm } from './laying-form';
import { WhenChoice, whenIso, whenNow } from './WhenChoice';

interface Props {
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

function useLaying({
  painting,
  coatId,
  passageId,
  passageIds,
  nowMs,
  more = false,
  onClose,
  onLaid,
}: Props) {
  const dispatch = useStoreDispatch();
  const { record, note, oneStep, refusal, setRefusal, options } = useRecord();
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
  // Judged by what lay there at that hour, which may be days back, whatever was entered since.
  const was = useMemo(
    () => assessAt(painting, Number.isNaN(atMs) ? openedMs : atMs, coatId, options),
    [painting, atMs, openedMs, coatId, options],
  );
  const spotName = spot === null ? null : String(spot.name);
  const tops = new Map(chosen.map((id) => [id, topAt(was, id, spotName)]));
  const wetOnes = chosen.filter((id) => {
    const top = tops.get(id);
    return top && top.film.asLaid.material === null && wipesOff(top);
  });
  const open = chosen.filter((id) => {
    const top = tops.get(id);
    return top && openAt(top, atMs);
  });
  const intoWet = wet ?? open.length > 0;
  const findings = gravestByRule(
    chosen.flatMap((id): Finding[] => {
      const layers = stackAt(was, id, spotName)?.layers ?? [];
      return layers.find((l) => l.planned && l.film.coatIds.includes(coatId))?.findings ?? [];
    }),
  ).filter((finding) => finding.severity !== 'note');
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
        note({ paintingId: painting.id, passageIds: chosen, coatId, name: coat.name, done });
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
    findings,
    overrule,
    coat,
    takes,
    form,
    chosen,
    spot,
    wetOnes,
    intoWet,
    when,
    refusal,
    lay,
    tops,
    atMs,
    asking: doubt !== null && sure === at ? doubt : null,
    rest: chosen.some((id) => isBegun(painting, coat, id)),
  };
}

/** A coat is laid: where, all of it or a part, on the set film or into the wet, and when. */
export function LayDialog(props: Props) {
  const laying = useLaying(props);
  const { coat, refusal, form } = laying;
  const { more = false, painting } = props;
  const at = (where: string) => (refusal?.where === where ? refusal.message : undefined);
  const elsewhere = refusal && refusal.where !== 'at';
  const title = more
    ? `More of ${coat.name.toLowerCase()}`
    : `${laying.rest ? 'Lay the rest of' : 'Lay'} ${coat.name.toLowerCase()}`;
  return (
    <Sheet name={title} onClose={props.onClose}>
      <View style={{ gap: space.s }}>
        <Heading>{title}</Heading>
        <ManyChoice
          label="On"
          options={painting.passages
            .filter((p) => laying.takes.includes(p.id))
            .map((p) => ({ key: p.id, name: p.name }))}
          values={laying.chosen}
          onChange={(chosen) => form.put('chosen', chosen)}
        />
        {more ? (
          <Choice
            label="How much more"
            options={[
              { key: 'half', name: 'half as much again' },
              { key: 'all', name: 'as much again' },
            ]}
            value={form.draft.more === 0.5 ? 'half' : 'all'}
            onChange={(key) => form.put('more', key === 'all' ? 1 : 0.5)}
          />
        ) : null}
        <PartFields
          spot={laying.spot}
          onChange={(spot) => form.put('spot', spot)}
          name={form.text('spot.name')}
          share={form.number('spot.share', 'percent')}
          known={knownParts(painting, laying.chosen)}
          rest={laying.rest && !more}
          label={more ? 'Where' : 'How much of it is done'}
        />
        {laying.wetOnes.length > 0 ? <WetChoice form={laying} nowMs={props.nowMs} /> : null}
        <WaitWarning form={laying} coat={coat} nowMs={props.nowMs} />
        <FindingNotices
          findings={laying.findings}
          nowMs={props.nowMs}
          onOverrule={laying.overrule}
        />
        <WhenChoice
          value={laying.when}
          onChange={(when) => form.put('when', when)}
          error={at('at')}
        />
        {elsewhere || (refusal?.where === 'at' && laying.when.when !== 'earlier') ? (
          <Notice tone="refusal">{refusal.message}</Notice>
        ) : null}
        {laying.asking ? <Notice>{laying.asking}</Notice> : null}
        <Action
          title={
            laying.asking ? 'Yes, laid then' : laying.when.when === 'now' ? 'Laid now' : 'Laid then'
          }
          kind="primary"
          onPress={laying.lay}
          disabled={laying.findings.some(stops)}
        />
        {props.onNothing ? <Action title="Nothing was added" onPress={props.onNothing} /> : null}
        <Action
          title="Cancel"
          kind="quiet"
          onPress={() => {
            // What was chosen and not laid must not lie in wait for the next time.
            form.throwAway();
            props.onClose();
          }}
        />
      </View>
    </Sheet>
  );
}

type Form = ReturnType<typeof useLaying>;

function WetChoice({ form, nowMs }: { form: Form; nowMs: number }) {
  const top = form.tops.get(form.wetOnes[0]!)!;
  const until = top.windows?.openUntil.p50;
  const past = until !== null && until !== undefined && until < form.atMs;
  return (
    <View>
      <Choice
        label="What lies there"
        options={[
          { key: 'wet', name: 'into the wet' },
          { key: 'set', name: 'it has set' },
        ]}
        value={form.intoWet ? 'wet' : 'set'}
        onChange={(key) => form.form.put('wet', key === 'wet')}
      />
      <Text size="small" tone="ink2">
        {`${top.film.name} ${past ? 'closed' : 'is open'}${form.wetOnes.length < form.chosen.length ? ', though not everywhere you chose' : ''}${until ? ` ${past ? '' : 'till '}${about(until, nowMs)}` : ''}. ${form.intoWet ? 'The two become one film, and its clock starts again.' : 'Laid as a film of its own.'}`}
      </Text>
    </View>
  );
}

/** Said where the choice is made: the film below is not ready. */
function WaitWarning({ form, coat, nowMs }: { form: Form; coat: Coat; nowMs: number }) {
  if (form.intoWet) return null;
  const tops = form.chosen.map((id) => form.tops.get(id));
  return <LiftWarning tops={tops} coat={coat} atMs={form.atMs} nowMs={nowMs} />;
}

/** A stroke laid at that hour would lift what lies there. */
export function LiftWarning({
  tops,
  coat,
  atMs,
  nowMs,
}: {
  tops: (Layer | null | undefined)[];
  coat: Pick<Coat, 'name'>;
  atMs: number;
  nowMs: number;
}) {
  const early = tops.find((top) => top && liftsAt(top, atMs));
  if (!early) return null;
  const dry = early.windows?.touchDry.p75;
  return (
    <Notice tone="refusal">
      {`${early.film.name} is not dry by then: a stroke of ${coat.name.toLowerCase()} would lift it.${dry ? ` It takes a coat from ${about(dry, nowMs)}.` : ''}`}
    </Notice>
  );
}
