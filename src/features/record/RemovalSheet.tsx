import { useState } from 'react';
import { View } from 'react-native';
import type { Left } from '@/data/applications';
import { HOW_REDUCED, type Painting } from '@/core/painting';
import { recordRemoval } from '@/core/painting/record';
import { ruleOf } from '@/core/rules/records';
import { useForm } from '@/forms';
import { nowMs as presentMs } from '@/store/clock';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Notice } from '@/ui/Notice';
import { Sheet } from '@/ui/Sheet';
import { Tick } from '@/ui/Tick';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import { WhenChoice, whenIso, whenNow } from './WhenChoice';
import { knownParts, PartFields } from './PartFields';
import {
  chosenPlaces,
  HOW_NAMES,
  placesOf,
  removalFormSchema,
  type RemovalForm,
} from './removal-form';
import { ALONE, LeftOn, OnWhat, type InHand } from './RemovalParts';
import { useRecord } from './useRecord';

interface Props {
  painting: Painting;
  /** Where it begins: the place one looks at, or the passages in hand. */
  passageIds: string[];
  spotName?: string | null;
  /** What it acts on, where nothing is in hand. */
  filmName?: string;
  inHand?: InHand | null;
  /** What lies there still comes off with a rag. */
  wet?: boolean;
  nowMs: number;
  onClose: () => void;
}

const TOOL_OPTIONS = [
  { key: 'rag', name: 'rag' },
  { key: 'finger', name: 'finger' },
  { key: 'wipe-out-tool', name: 'wipe-out tool' },
  { key: 'brush', name: 'brush' },
  { key: 'knife', name: 'knife' },
] as const;

/** Paint was wiped, scraped, sanded or painted out: on one place or several in one gesture, and this much is left. */
export function RemovalSheet(props: Props) {
  const { painting, passageIds, spotName = null, inHand = null, nowMs, onClose } = props;
  const { record, refusal, setRefusal } = useRecord();
  const [more, setAll] = useState(false);
  const [fresh] = useState((): RemovalForm => {
    const there = placesOf(painting, inHand?.passageIds ?? []);
    const here = there.filter((p) => passageIds.includes(p.passageId));
    const first = here.find((p) => p.spotName === spotName) ?? here[0];
    return {
      how: props.wet === false && inHand === null ? 'scraped' : 'wiped',
      tool: null,
      onHand: inHand !== null,
      laid: null,
      left: first && here.length === 1 ? { [first.key]: 'half' } : {},
      part: null,
      repaint: false,
      when: whenNow(nowMs),
    };
  });
  const form = useForm({
    key: `removal:${painting.id}:${passageIds.join('+')}:${spotName ?? ''}`,
    schema: removalFormSchema,
    document: fresh,
    isNew: true,
  });
  const { how, left, when } = form.draft;
  // Where only the paint in hand is to be, nothing lies yet that could be taken off.
  const places = placesOf(painting, form.draft.onHand ? (inHand?.passageIds ?? []) : []);
  const near = places.filter((p) => passageIds.includes(p.passageId));
  const all = more || near.length === 0;
  const chosen = form.value ? chosenPlaces(places, form.value) : [];
  const put = (key: string, value: Left | typeof ALONE) => {
    const { [key]: _was, ...others } = left;
    form.put('left', value === ALONE ? others : { ...others, [key]: value });
  };
  const taken = Object.values(left).some((l) => l === 'nothing' || l === 'trace');
  const note = () => {
    const value = form.value;
    if (!value) return setRefusal({ where: '', message: form.issues[0]!.message });
    const at = whenIso(value.when, value.when.when === 'now' ? presentMs() : nowMs);
    const laidFirst = value.onHand && inHand ? inHand : null;
    const kept = record(painting.id, `${HOW_NAMES[value.how]}`, (p, options, making) =>
      recordRemoval(
        p,
        {
          how: value.how,
          at,
          places: chosen,
          ...(value.tool ? { tool: value.tool } : {}),
          repaint: value.repaint && taken && value.how !== 'painted-out',
          inHand: laidFirst && {
            coatId: laidFirst.coatId,
            passageIds: laidFirst.passageIds,
            spot: value.laid,
          },
        },
        options,
        making,
      ),
    );
    if (!kept) return;
    form.keep(() => undefined);
    onClose();
  };
  const title = props.filmName ?? 'Taken off';
  return (
    <Sheet name={title} onClose={onClose}>
      <View style={{ gap: space.s }}>
        <Heading>{title}</Heading>
        <Choice
          label="It was"
          options={HOW_REDUCED.map((key) => ({ key, name: HOW_NAMES[key] }))}
          value={how}
          onChange={(key) => form.put('how', key)}
        />
        {inHand ? (
          <OnWhat form={form} inHand={inHand} known={knownParts(painting, inHand.passageIds)} />
        ) : null}
        {(all ? places : near).map((place) => (
          <LeftOn
            key={place.key}
            name={place.name}
            how={how}
            left={left[place.key]}
            onChange={(value) => put(place.key, value)}
          />
        ))}
        {!all && places.length > near.length ? (
          <Action
            title="Elsewhere too"
            kind="quiet"
            onPress={() => setAll(true)}
            style={{ alignSelf: 'flex-start' }}
          />
        ) : null}
        <PartFields
          spot={form.draft.part}
          onChange={(part) => form.put('part', part)}
          name={form.text('part.name')}
          share={form.number('part.share', 'percent')}
          known={[]}
          rest={false}
          label="How much of each passage"
        />
        {how === 'painted-out' ? (
          <Text size="small" tone="ink2">
            A covering coat is put first in the plan of each place. Edit it, and lay it.
          </Text>
        ) : (
          <Choice
            label="With"
            options={[...TOOL_OPTIONS]}
            value={form.draft.tool}
            onChange={(tool) => form.put('tool', tool)}
          />
        )}
        {how !== 'painted-out' && taken ? (
          <Tick
            title="Plan it there once more"
            checked={form.draft.repaint}
            onPress={() => form.put('repaint', !form.draft.repaint)}
          />
        ) : null}
        {how === 'sanded' ? (
          <Notice tone="refusal">
            {`${ruleOf('dry-sanding').says} ${ruleOf('dry-sanding').mend}`}
          </Notice>
        ) : null}
        <WhenChoice value={when} onChange={(value) => form.put('when', value)} />
        {refusal ? <Notice tone="refusal">{refusal.message}</Notice> : null}
        <Action title="Note it" kind="primary" onPress={note} disabled={chosen.length === 0} />
        <Action
          title="Cancel"
          kind="quiet"
          onPress={() => {
            form.throwAway();
            onClose();
          }}
        />
      </View>
    </Sheet>
  );
}
