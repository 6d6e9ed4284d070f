import { useRouter } from 'expo-router';
import { ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import {
  addCoat,
  changeCoat,
  COAT_ROLES,
  moveCoat,
  ONTO,
  removeCoat,
  type Painting,
} from '@/core/painting';
import { APPLICATION_KEYS, APPLICATIONS } from '@/data/applications';
import { NotHereScreen } from '@/features/frame/NotHereScreen';
import { changePainting } from '@/store/actions';
import { usePainting, useStoreDispatch } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Choice, ManyChoice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Notice } from '@/ui/Notice';
import { CheckBox } from '@/ui/rne';
import { Screen } from '@/ui/Screen';
import { Stepper } from '@/ui/Stepper';
import { Heading } from '@/ui/Text';
import { colour, space, WIDE_FROM } from '@/ui/tokens';
import { ROLE_APPLICATION } from './draft';
import { LivePanel, LiveStrip } from './LivePanel';
import { MediumFields } from './MediumFields';
import { MixFields } from './MixFields';
import { ONTO_NAME, ROLE_NAME } from './names';
import { useCoatEditor, type CoatEditor } from './useCoatEditor';

interface Props {
  id: string;
  coatId: string;
  passageId: string | null;
  afterId: string | null;
}

/** One coat: its role, its place, its mix, its medium and how it is put on; figures change while editing. */
export function CoatScreen(props: Props) {
  const painting = usePainting(props.id);
  if (!painting) return <NotHereScreen what="That painting" />;
  if (props.coatId !== 'new' && !painting.coats.some((c) => c.id === props.coatId))
    return <NotHereScreen what="That coat" />;
  return <Editor key={props.coatId} painting={painting} {...props} />;
}

function Editor({ painting, coatId, passageId, afterId }: Props & { painting: Painting }) {
  const router = useRouter();
  const dispatch = useStoreDispatch();
  const editor = useCoatEditor(painting, coatId, passageId, afterId);
  const wide = useWindowDimensions().width >= WIDE_FROM;
  const { draft, checked, isNew } = editor;
  const leave = () =>
    router.canGoBack()
      ? router.back()
      : router.navigate({ pathname: '/paintings/[id]', params: { id: painting.id } });
  const keep = () => {
    const { coat } = checked;
    if (!coat) return;
    dispatch(
      changePainting(
        painting.id,
        isNew ? `Planned ${coat.name.toLowerCase()}` : `Changed ${coat.name.toLowerCase()}`,
        (p, making) =>
          isNew
            ? addCoat(p, coat, afterId, making)
            : changeCoat(p, coat, editor.correctRecord, making),
      ),
    );
    leave();
  };
  const foot = (
    <View style={styles.foot}>
      {wide ? null : (
        <View style={{ flex: 1 }}>
          <LiveStrip editor={editor} />
        </View>
      )}
      <Action
        title="Keep"
        kind="primary"
        onPress={keep}
        disabled={!checked.coat}
        style={wide ? { flexGrow: 1 } : {}}
      />
    </View>
  );
  const form = (
    <Screen
      title={isNew ? 'A new coat' : draft.name || 'Coat'}
      subtitle={painting.title}
      onBack={leave}
      foot={foot}
    >
      <View style={{ gap: space.xl }}>
        <PlaceFields editor={editor} painting={painting} />
        <MixFields editor={editor} />
        <MediumFields editor={editor} />
        <LayingFields editor={editor} />
        {editor.laidOn.length > 0 ? <RecordChoice editor={editor} painting={painting} /> : null}
        {wide ? null : <LivePanel editor={editor} painting={painting} />}
        {isNew ? null : <PlanActions painting={painting} coatId={coatId} onGone={leave} />}
      </View>
    </Screen>
  );
  if (!wide) return form;
  return (
    <View style={{ flex: 1, flexDirection: 'row' }}>
      <View style={{ flex: 1 }}>{form}</View>
      <ScrollView style={styles.panel} contentContainerStyle={{ padding: space.xxl }}>
        <LivePanel editor={editor} painting={painting} />
      </ScrollView>
    </View>
  );
}

function PlaceFields({ editor, painting }: { editor: CoatEditor; painting: Painting }) {
  const { draft, set, checked } = editor;
  const laid = (id: string) => editor.laidOn.includes(id);
  return (
    <View>
      <Field
        label="Name of the coat"
        value={draft.name}
        onChangeText={(name) => set({ name })}
        error={checked.problem('name')}
      />
      <Choice
        label="Role"
        options={COAT_ROLES.map((key) => ({ key, name: ROLE_NAME[key] }))}
        value={draft.role}
        onChange={(role) => {
          const application = ROLE_APPLICATION[role];
          set({ role, application, thicknessUm: String(APPLICATIONS[application].typicalUm) });
        }}
      />
      <ManyChoice
        label="Passages it covers"
        options={painting.passages.map((p) => ({
          key: p.id,
          name: laid(p.id) ? `${p.name}, laid` : p.name,
        }))}
        values={draft.passageIds}
        // A passage on which it lies already cannot be taken out of it.
        onChange={(ids) =>
          set({
            passageIds: painting.passages
              .map((p) => p.id)
              .filter((id) => ids.includes(id) || laid(id)),
          })
        }
      />
      {checked.problem('passageIds') ? (
        <Notice tone="refusal">{checked.problem('passageIds')}</Notice>
      ) : null}
      <Choice
        label="How much of them"
        options={[
          { key: 'all', name: 'all of it' },
          { key: 'spot', name: 'a spot' },
        ]}
        value={draft.spot.on ? 'spot' : 'all'}
        onChange={(key) =>
          set({
            spot: { ...draft.spot, on: key === 'spot', name: draft.spot.name || 'highlights' },
          })
        }
      />
      {draft.spot.on ? (
        <View
          style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.m, alignItems: 'flex-end' }}
        >
          <View style={{ flexGrow: 1, flexBasis: 160 }}>
            <Field
              label="The spot"
              value={draft.spot.name}
              onChangeText={(name) => set({ spot: { ...draft.spot, name } })}
              error={checked.problem('spot.name')}
            />
          </View>
          <View style={{ marginBottom: space.m }}>
            <Stepper
              label="Its share of the passage"
              unit="%"
              step={5}
              min={1}
              max={100}
              text={draft.spot.sharePct}
              onChangeText={(sharePct) => set({ spot: { ...draft.spot, sharePct } })}
              error={checked.problem('spot.share')}
            />
          </View>
        </View>
      ) : null}
    </View>
  );
}

function LayingFields({ editor }: { editor: CoatEditor }) {
  const { draft, set, checked } = editor;
  const { rangeUm } = APPLICATIONS[draft.application];
  return (
    <View>
      <Heading style={{ marginBottom: space.s }}>How it is put on</Heading>
      <Choice
        label="Applied as"
        hideLabel
        options={APPLICATION_KEYS.map((key) => ({ key, name: APPLICATIONS[key].name }))}
        value={draft.application}
        onChange={(application) =>
          set({ application, thicknessUm: String(APPLICATIONS[application].typicalUm) })
        }
      />
      <View style={{ marginBottom: space.m }}>
        <Stepper
          label={`Dry thickness, usually ${rangeUm[0]} to ${rangeUm[1]} µm`}
          unit="µm"
          step={draft.application === 'rubbed-on' ? 1 : 5}
          min={1}
          max={10000}
          text={draft.thicknessUm}
          onChangeText={(thicknessUm) => set({ thicknessUm })}
          error={checked.problem('recipe.thicknessUm')}
        />
      </View>
      <Choice
        label="It goes on"
        options={ONTO.map((key) => ({ key, name: ONTO_NAME[key] }))}
        value={draft.onto}
        onChange={(onto) => set({ onto })}
      />
    </View>
  );
}

function RecordChoice({ editor, painting }: { editor: CoatEditor; painting: Painting }) {
  const names = painting.passages
    .filter((p) => editor.laidOn.includes(p.id))
    .map((p) => p.name)
    .join(', ');
  return (
    <View style={{ gap: space.s }}>
      <Notice>{`Laid already on ${names}. What you change counts for passages still to come, unless the record itself was wrong.`}</Notice>
      <CheckBox
        title="Correct the record of what was laid too"
        checked={editor.correctRecord}
        onPress={() => editor.setCorrectRecord(!editor.correctRecord)}
      />
    </View>
  );
}

function PlanActions({
  painting,
  coatId,
  onGone,
}: {
  painting: Painting;
  coatId: string;
  onGone: () => void;
}) {
  const dispatch = useStoreDispatch();
  const router = useRouter();
  const move = (by: -1 | 1) =>
    dispatch(
      changePainting(
        painting.id,
        by === 1 ? 'Moved a coat later' : 'Moved a coat earlier',
        (p, making) => moveCoat(p, coatId, by, making),
      ),
    );
  const remove = () => {
    dispatch(
      changePainting(painting.id, 'Took a coat out of the plan', (p, making) =>
        removeCoat(p, coatId, making),
      ),
    );
    onGone();
  };
  return (
    <View
      style={{ gap: space.s, borderTopWidth: 1, borderTopColor: colour.rule, paddingTop: space.l }}
    >
      <Heading>In the plan</Heading>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.s }}>
        <Action title="Earlier" onPress={() => move(-1)} />
        <Action title="Later" onPress={() => move(1)} />
        <Action
          title="Another like it"
          onPress={() =>
            router.replace({
              pathname: '/paintings/[id]/coats/[coatId]',
              params: { id: painting.id, coatId: 'new', after: coatId },
            })
          }
        />
        <Action title="Out of the plan" kind="danger" onPress={remove} />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  foot: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.m,
    padding: space.m,
    paddingHorizontal: space.xl,
    backgroundColor: colour.sheet,
    borderTopWidth: 1,
    borderTopColor: colour.rule,
  },
  panel: {
    width: 380,
    flexGrow: 0,
    backgroundColor: colour.sheet,
    borderLeftWidth: 1,
    borderLeftColor: colour.rule,
  },
});
