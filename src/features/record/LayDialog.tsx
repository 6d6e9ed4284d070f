import { View } from 'react-native';
import { Action } from '@/ui/Action';
import { Choice, ManyChoice } from '@/ui/Choice';
import { Notice } from '@/ui/Notice';
import { Sheet } from '@/ui/Sheet';
import { Heading, Text } from '@/ui/Text';
import { about } from '@/ui/time/words';
import { space } from '@/ui/tokens';
import { JudgedNotices } from './JudgedNotices';
import { knownParts, PartFields } from './PartFields';
import { useLaying, type Laying, type LayProps } from './useLaying';
import { WhenChoice } from './WhenChoice';

/** A coat is laid: where, all of it or a part, on the set film or into the wet, and when. */
export function LayDialog(props: LayProps) {
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
        {laying.told.unset.length > 0 ? <WetChoice form={laying} nowMs={props.nowMs} /> : null}
        <JudgedNotices
          told={laying.told}
          name={coat.name}
          intoWet={laying.intoWet}
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
          disabled={laying.told.refused}
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

function WetChoice({ form, nowMs }: { form: Laying; nowMs: number }) {
  const { unset, tops } = form.told;
  const top = tops.get(unset[0]!)!;
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
        {`${top.film.name} ${past ? 'closed' : 'is open'}${unset.length < form.chosen.length ? ', though not everywhere you chose' : ''}${until ? ` ${past ? '' : 'till '}${about(until, nowMs)}` : ''}. ${form.intoWet ? 'The two become one film, and its clock starts again.' : 'Laid as a film of its own.'}`}
      </Text>
    </View>
  );
}
