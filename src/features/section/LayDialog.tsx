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
import { overruleCoat } from '@/core/painting/plan';
import { layCoat } from '@/core/painting/events';
import { stops, type Finding } from '@/core/rules';
import type { RuleKey } from '@/data/rules';
import { FindingNotices } from '@/features/findings/FindingNotices';
import { SpotFields } from '@/features/SpotFields';
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
function findingsFor(passages: PassageAssessment[], coatId: string, chosen: string[]): Finding[] {
  const byRule = new Map<RuleKey, Finding>();
  for (const { passage, base } of passages) {
    if (!chosen.includes(passage.id)) continue;
    const layer = base.layers.find((l) => l.planned && l.film.coatIds.includes(coatId));
    for (const f of layer?.findings ?? [])
      if (f.severity !== 'note' && !byRule.has(f.rule)) byRule.set(f.rule, f);
  }
  return [...byRule.values()];
}

function useLaying({ painting, coatId, passageId, passages, nowMs, onClose }: Props) {
  const dispatch = useStoreDispatch();
  const coat = coatOf(painting, coatId);
  const unlaid = unlaidPassages(painting, coat);
  const tops = new Map(passages.map((p) => [p.passage.id, topLaid(p.base)]));
  const [chosen, setChosen] = useState<string[]>(() =>
    unlaid.includes(passageId) && unlaid.length > 1 && coat.role !== 'tone' ? [passageId] : unlaid,
  );
  const [spot, setSpot] = useState(() => ({
    on: coat.spot !== null,
    name: coat.spot?.name ?? '',
    sharePct: String(Math.round((coat.spot?.share ?? 0.05) * 100)),
  }));
  const [wet, setWet] = useState<boolean | null>(null);
  // The present of the screen is told by the half minute; a coat may have been laid since.
  const [openedMs] = useState(presentMs);
  const [when, setWhen] = useState(() => whenNow(nowMs));
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  // Judged at the time it was laid, which may be days back.
  const atMs = Date.parse(whenIso(when, openedMs));
  const open = chosen.filter((id) => {
    const top = tops.get(id);
    return top ? openAt(top, atMs) : false;
  });
  // Into a film that is open is what happens; the painter can say that it had set all the same.
  const intoWet = open.length > 0 && (wet ?? true);
  const lay = () => {
    try {
      const at = whenIso(when, when.when === 'now' ? presentMs() : nowMs);
      const wetIds = intoWet ? open : [];
      // One sitting, but two entries where only some of the passages were open.
      const layings = [
        { passageIds: wetIds, intoWet: true },
        { passageIds: chosen.filter((id) => !wetIds.includes(id)), intoWet: false },
      ].filter((l, i) => l.passageIds.length > 0 || (i === 1 && chosen.length === 0));
      const share = { name: spot.name, share: Number(spot.sharePct) / 100 };
      dispatch(
        changePainting(painting.id, `Laid ${coat.name.toLowerCase()}`, (p, making) =>
          layings.reduce(
            (done, laying) =>
              layCoat(done, { coatId, at, spot: spot.on ? share : null, ...laying }, making),
            p,
          ),
        ),
      );
      onClose();
    } catch (error) {
      if (!(error instanceof CoreError)) throw error;
      setRefusal({ where: error.where, message: error.message });
    }
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
    chosen,
    setChosen,
    spot,
    setSpot,
    open,
    intoWet,
    setWet,
    when,
    setWhen,
    refusal,
    lay,
    tops,
    atMs,
  };
}

/** A coat is laid: where, on all or a spot of it, on the set film or into the wet, and when. */
export function LayDialog(props: Props) {
  const form = useLaying(props);
  const { coat, refusal } = form;
  const at = (where: string) => (refusal?.where === where ? refusal.message : undefined);
  const elsewhere = refusal && !['at', 'spot.name', 'spot.share'].includes(refusal.where);
  return (
    <Sheet name={`Lay ${coat.name.toLowerCase()}`} onClose={props.onClose}>
      <View style={{ gap: space.s }}>
        <Heading>{`Lay ${coat.name.toLowerCase()}`}</Heading>
        <ManyChoice
          label="On"
          options={props.painting.passages
            .filter((p) => form.unlaid.includes(p.id))
            .map((p) => ({ key: p.id, name: p.name }))}
          values={form.chosen}
          onChange={form.setChosen}
        />
        <SpotFields
          spot={form.spot}
          onChange={form.setSpot}
          nameProblem={at('spot.name')}
          shareProblem={at('spot.share')}
        />
        {form.open.length > 0 ? <WetChoice form={form} nowMs={props.nowMs} /> : null}
        <WaitWarning form={form} coat={coat} nowMs={props.nowMs} />
        <FindingNotices findings={form.findings} nowMs={props.nowMs} onOverrule={form.overrule} />
        <WhenChoice value={form.when} onChange={form.setWhen} error={at('at')} />
        {elsewhere || (refusal?.where === 'at' && form.when.when !== 'earlier') ? (
          <Notice tone="refusal">{refusal.message}</Notice>
        ) : null}
        <Action
          title={form.when.when === 'now' ? 'Laid now' : 'Laid then'}
          kind="primary"
          onPress={form.lay}
          disabled={form.findings.some(stops)}
        />
        <Action title="Cancel" kind="quiet" onPress={props.onClose} />
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
        onChange={(key) => form.setWet(key === 'wet')}
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
