import { useState } from 'react';
import { View } from 'react-native';
import { CoreError } from '@/core/errors';
import {
  coatOf,
  liftsAt,
  openAt,
  topLaid,
  unlaidPassages,
  type Coat,
  type Painting,
  type PassageAssessment,
} from '@/core/painting';
import { overruleCoat } from '@/core/painting/coats';
import { layCoat } from '@/core/painting/events';
import { stops, type Finding } from '@/core/rules';
import { gravestByRule } from '@/core/tell';
import type { RuleKey } from '@/core/rules/records';
import { FindingNotices } from '@/features/findings/FindingNotices';
import { SpotFields } from '@/features/SpotFields';
import { useForm } from '@/forms';
import { changePainting } from '@/store/actions';
import { nowMs as presentMs } from '@/store/clock';
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
  passages: PassageAssessment[];
  nowMs: number;
  onClose: () => void;
}

interface Refusal {
  where: string;
  message: string;
}

/** What the rules say to this coat on the passages it is about to go on; what is only to know stays in the section. */
const findingsFor = (passages: PassageAssessment[], coatId: string, chosen: string[]): Finding[] =>
  gravestByRule(
    passages
      .filter(({ passage }) => chosen.includes(passage.id))
      .flatMap(
        ({ base }) =>
          base.layers.find((l) => l.planned && l.film.coatIds.includes(coatId))?.findings ?? [],
      )
      .filter((finding) => finding.severity !== 'note'),
  );

function useLaying({ painting, coatId, passageId, passages, nowMs, onClose }: Props) {
  const dispatch = useStoreDispatch();
  const coat = coatOf(painting, coatId);
  const unlaid = unlaidPassages(painting, coat);
  const tops = new Map(passages.map((p) => [p.passage.id, topLaid(p.base)]));
  const [fresh] = useState((): LayingForm => ({
    chosen:
      unlaid.includes(passageId) && unlaid.length > 1 && coat.role !== 'tone'
        ? [passageId]
        : unlaid,
    spot: coat.spot,
    wet: null,
    when: whenNow(nowMs),
  }));
  const form = useForm({
    key: `laying:${painting.id}:${coatId}:${passageId}`,
    schema: layingFormSchema,
    document: fresh,
    isNew: true,
  });
  const { spot, wet, when } = form.draft;
  // A draft may be older than what was laid since.
  const chosen = form.draft.chosen.filter((id) => unlaid.includes(id));
  // The present of the screen is told by the half minute; a coat may have been laid since.
  const [openedMs] = useState(presentMs);
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  // Judged at the time it was laid, which may be days back.
  const atMs = Date.parse(whenIso(when, openedMs));
  const open = chosen.filter((id) => {
    const top = tops.get(id);
    return top ? openAt(top, atMs) : false;
  });
  // Into a film that is open is what happens; the painter can say that it had set all the same.
  const intoWet = open.length > 0 && (wet ?? true);
  const write = (value: LayingForm) => {
    try {
      const at = whenIso(when, when.when === 'now' ? presentMs() : nowMs);
      const wetIds = intoWet ? open : [];
      // One sitting, but two entries where only some of the passages were open.
      const layings = [
        { passageIds: wetIds, intoWet: true },
        { passageIds: chosen.filter((id) => !wetIds.includes(id)), intoWet: false },
      ].filter((l, i) => l.passageIds.length > 0 || (i === 1 && chosen.length === 0));
      dispatch(
        changePainting(painting.id, `Laid ${coat.name.toLowerCase()}`, (p, making) =>
          layings.reduce(
            (done, laying) => layCoat(done, { coatId, at, spot: value.spot, ...laying }, making),
            p,
          ),
        ),
      );
      return true;
    } catch (error) {
      if (!(error instanceof CoreError)) throw error;
      setRefusal({ where: error.where, message: error.message });
      return false;
    }
  };
  const lay = () => {
    if (!form.value) return setRefusal({ where: '', message: form.issues[0]!.message });
    if (!write(form.value)) return;
    form.keep(() => undefined);
    onClose();
  };
  const findings = findingsFor(passages, coatId, chosen);
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
    unlaid,
    form,
    chosen,
    spot,
    open,
    intoWet,
    when,
    refusal,
    lay,
    tops,
    atMs,
  };
}

/** A coat is laid: where, on all or a spot of it, on the set film or into the wet, and when. */
export function LayDialog(props: Props) {
  const laying = useLaying(props);
  const { coat, refusal, form } = laying;
  const at = (where: string) => (refusal?.where === where ? refusal.message : undefined);
  const elsewhere = refusal && refusal.where !== 'at';
  return (
    <Sheet name={`Lay ${coat.name.toLowerCase()}`} onClose={props.onClose}>
      <View style={{ gap: space.s }}>
        <Heading>{`Lay ${coat.name.toLowerCase()}`}</Heading>
        <ManyChoice
          label="On"
          options={props.painting.passages
            .filter((p) => laying.unlaid.includes(p.id))
            .map((p) => ({ key: p.id, name: p.name }))}
          values={laying.chosen}
          onChange={(chosen) => form.put('chosen', chosen)}
        />
        <SpotFields
          spot={laying.spot}
          onChange={(spot) => form.put('spot', spot)}
          name={form.text('spot.name')}
          share={form.number('spot.share', 'percent')}
        />
        {laying.open.length > 0 ? <WetChoice form={laying} nowMs={props.nowMs} /> : null}
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
        <Action
          title={laying.when.when === 'now' ? 'Laid now' : 'Laid then'}
          kind="primary"
          onPress={laying.lay}
          disabled={laying.findings.some(stops)}
        />
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
  const top = form.tops.get(form.open[0]!)!;
  const until = top.windows?.openUntil.p50;
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
        {`${top.film.name} is open${form.open.length < form.chosen.length ? `, though not everywhere you chose` : ''}${until ? ` till ${about(until, nowMs)}` : ''}. ${form.intoWet ? 'The two become one film, and its clock starts again.' : 'Laid as a film of its own.'}`}
      </Text>
    </View>
  );
}

/** Said where the choice is made: the film below is not ready. */
function WaitWarning({ form, coat, nowMs }: { form: Form; coat: Coat; nowMs: number }) {
  const early = form.chosen
    .map((id) => form.tops.get(id))
    .find((top) => top && liftsAt(top, form.atMs));
  if (!early) return null;
  const dry = early.windows?.touchDry.p75;
  return (
    <Notice tone="refusal">
      {`${early.film.name} is not dry by then: a stroke of ${coat.name.toLowerCase()} would lift it.${dry ? ` It takes a coat from ${about(dry, nowMs)}.` : ''}`}
    </Notice>
  );
}
