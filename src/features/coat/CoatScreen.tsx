import { useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import type { Coat, Painting } from '@/core/painting';
import { changeCoat, placeCoat } from '@/core/painting/coats';
import { NotHereScreen } from '@/features/frame/NotHereScreen';
import { FormState } from '@/forms';
import { changePainting } from '@/store/actions';
import { usePainting, useStoreDispatch } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { Tick } from '@/ui/Tick';
import { Screen } from '@/ui/Screen';
import { Split, useWide } from '@/ui/Split';
import { colour, space } from '@/ui/tokens';
import { CoatColours } from './CoatColours';
import { withColours } from './draft';
import { LayingFields } from './LayingFields';
import { LivePanel, LiveStrip } from './LivePanel';
import { LiveSection } from './LiveSection';
import { MaterialFields } from './MaterialFields';
import { MediumFields } from './MediumFields';
import { MixFields } from './MixFields';
import { PlaceFields } from './PlaceFields';
import { PlanActions } from './PlanActions';
import { useCoatEditor, type CoatEditor } from './useCoatEditor';

interface Props {
  id: string;
  coatId: string;
  passageId: string | null;
  afterId: string | null;
  /** What was laid is corrected, not only what is still to come. */
  asRecord?: boolean;
}

/** One coat: its role, its place, its mix, its medium and how it is put on; figures change while editing. */
export function CoatScreen(props: Props) {
  const painting = usePainting(props.id);
  if (!painting) return <NotHereScreen what="That painting" />;
  if (props.coatId !== 'new' && !painting.coats.some((c) => c.id === props.coatId))
    return <NotHereScreen what="That coat" />;
  return <Editor key={props.coatId} painting={painting} {...props} />;
}

function Editor({
  painting,
  coatId,
  passageId,
  afterId,
  asRecord = false,
}: Props & { painting: Painting }) {
  const router = useRouter();
  const dispatch = useStoreDispatch();
  const editor = useCoatEditor(painting, coatId, passageId, afterId, asRecord);
  const wide = useWide();
  const { form, draft, isNew } = editor;
  const leave = () =>
    router.canGoBack()
      ? router.back()
      : router.navigate({ pathname: '/paintings/[id]', params: { id: painting.id } });
  const write = (typed: Coat) => {
    const coat = withColours(typed);
    dispatch(
      changePainting(
        painting.id,
        isNew ? `Planned ${coat.name.toLowerCase()}` : `Changed ${coat.name.toLowerCase()}`,
        (p, making) =>
          isNew
            ? placeCoat(p, coat, editor.place, making)
            : changeCoat(p, coat, editor.correctRecord, making),
      ),
    );
  };
  const keep = () => {
    if (editor.mayKeep && form.keep(write)) leave();
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
        disabled={!form.value || !editor.mayKeep}
        style={wide ? { flexGrow: 1 } : {}}
      />
    </View>
  );
  const page = (
    <Screen
      title={asRecord ? 'Correct the record' : isNew ? 'A new coat' : draft.name || 'Coat'}
      subtitle={painting.title}
      onBack={leave}
      foot={foot}
    >
      <View style={{ gap: space.xl }}>
        <FormState form={form} />
        {editor.laidOn.length > 0 ? <RecordChoice editor={editor} painting={painting} /> : null}
        <PlaceFields editor={editor} painting={painting} />
        <MaterialFields editor={editor} />
        {draft.recipe.material === undefined ? (
          <>
            <MixFields editor={editor} of={{ editor, painting }} />
            <MediumFields editor={editor} />
          </>
        ) : null}
        <LayingFields editor={editor} painting={painting} />
        {wide ? null : <LivePanel editor={editor} painting={painting} />}
        {wide ? null : <CoatColours editor={editor} painting={painting} />}
        {isNew ? null : (
          <PlanActions
            painting={painting}
            coatId={coatId}
            onBefore={() => editor.mayKeep && form.keep(write)}
            onGone={leave}
          />
        )}
      </View>
    </Screen>
  );
  if (!wide) return page;
  return (
    <Split
      panel={
        <>
          <LiveSection editor={editor} painting={painting} />
          <LivePanel editor={editor} painting={painting} />
          <View style={{ height: space.xl }} />
          <CoatColours editor={editor} painting={painting} />
        </>
      }
    >
      {page}
    </Split>
  );
}

function RecordChoice({ editor, painting }: { editor: CoatEditor; painting: Painting }) {
  const names = painting.passages
    .filter((p) => editor.laidOn.includes(p.id))
    .map((p) => p.name)
    .join(', ');
  return (
    <View style={{ gap: space.s }}>
      <Notice>
        {editor.correctRecord
          ? `What was laid on ${names} is corrected with it.`
          : `Laid already on ${names}. What you change counts for passages still to come, unless the record itself was wrong.`}
      </Notice>
      <Tick
        title="Correct the record of what was laid too"
        checked={editor.correctRecord}
        onPress={() => editor.setCorrectRecord(!editor.correctRecord)}
      />
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
});
