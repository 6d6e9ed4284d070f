import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { isBegun, type Painting } from '@/core/painting';
import { valueOfLab } from '@/core/optics/colour';
import { stackLook } from '@/core/painting/look';
import { leaveRest } from '@/core/painting/record';
import { overruleCoat } from '@/core/painting/coats';
import { repairSentence } from '@/core/repair';
import type { RuleKey } from '@/core/rules/records';
import { FindingNotices } from '@/features/findings/FindingNotices';
import { changePainting } from '@/store/actions';
import { useStoreDispatch, useSwatches } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { StateTag } from '@/ui/film/StateSwatch';
import { Heading, Text } from '@/ui/Text';
import { about } from '@/ui/time/words';
import { space } from '@/ui/tokens';
import { ReadyBySheet } from '@/features/plan/ReadyBySheet';
import { LayDialog } from '@/features/record/LayDialog';
import { RepairButton, RepairPlace } from './RepairButton';
import { LaidPanel } from './LaidPanel';
import { SchoolsTable } from './SchoolsTable';
import type { Dissent, LayerView, SectionView } from './useSectionView';
import { WaitBar } from './WaitBar';
import { WishDialog } from './WishDialog';

/** One layer: the verdict as a sentence, the figures, the cure, and what can be done. */
export function LayerPanel({ view, chosen }: { view: SectionView; chosen: LayerView }) {
  const { layer, sentence, figures, broken } = chosen;
  const [first] = chosen.repairs;
  return (
    <View style={{ gap: space.m }}>
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: space.m }}>
        <Text strong>{layer.film.name}</Text>
        <StateTag state={layer.state} />
      </View>
      <Heading size="large" tone={broken ? 'brick' : 'ink'}>
        {sentence}
      </Heading>
      <Text>
        {figures ? (
          <Text strong tone={broken ? 'brick' : 'ink'}>
            {figures}{' '}
          </Text>
        ) : null}
        {first ? <Text tone="ink2">{repairSentence(first, view.painting.school)}</Text> : null}
        {chosen.solving ? <Text tone="ink2">Looking for what would mend it …</Text> : null}
        {chosen.failure ? (
          <Text tone="brick">{`No repair could be worked out: ${chosen.failure}`}</Text>
        ) : null}
        {broken && layer.planned && !first && !chosen.solving && !chosen.failure ? (
          <Text tone="ink2">
            There is no sound repair of this coat alone: the oil it would take is over the cap.
            Change the mix, or the coat below.
          </Text>
        ) : null}
      </Text>
      <Looks view={view} chosen={chosen} />
      <Findings view={view} chosen={chosen} />
      {layer.planned ? (
        <Planned view={view} chosen={chosen} />
      ) : (
        <LaidPanel view={view} chosen={chosen} />
      )}
      <Dissents dissents={chosen.dissents} />
      <SchoolsTable layer={layer} school={view.painting.school} />
    </View>
  );
}

const SOURCES = {
  estimate: 'its colour an estimate from tables',
  swatch: 'its colour by your swatches',
  guess: 'its colour only stands for its kind',
} as const;

/** The value the place has with this film on it, and how far its colour is to be trusted. */
function Looks({
  view: { stack, painting },
  chosen: { layer },
}: {
  view: SectionView;
  chosen: LayerView;
}) {
  const swatches = useSwatches();
  const look = stackLook(stack, painting, swatches).films.get(layer.film.key);
  if (!look) return null;
  return (
    <Text size="small" tone="ink2">
      {`Value ${valueOfLab(look.lab).toFixed(1)} with it, ${SOURCES[look.source.kind]}.`}
    </Text>
  );
}

/** The rules on this film; a reason against one is kept with its coat. */
function Findings({ view, chosen }: { view: SectionView; chosen: LayerView }) {
  const dispatch = useStoreDispatch();
  const { painting } = view;
  const coatId = chosen.layer.film.coatIds.at(-1);
  const coat = painting.coats.find((c) => c.id === coatId);
  const overrule = (rule: RuleKey, reason: string | null) =>
    coat &&
    dispatch(
      changePainting(
        painting.id,
        reason === null ? 'Kept to the rule again' : 'Overruled, with a reason',
        (p, making) => overruleCoat(p, coat.id, rule, reason, making),
      ),
    );
  return (
    <FindingNotices
      findings={chosen.findings}
      nowMs={view.nowMs}
      {...(coat && chosen.layer.planned ? { onOverrule: overrule } : {})}
    />
  );
}

function Planned({ view, chosen }: { view: SectionView; chosen: LayerView }) {
  const [laying, setLaying] = useState(false);
  const [wishing, setWishing] = useState(false);
  const [ready, setReady] = useState(false);
  const router = useRouter();
  const { painting } = view;
  // A couch and the paint for it are planned as one film: the couch is laid first, the paint is edited.
  const coatId = chosen.layer.film.coatIds.at(-1)!;
  const layFirstId = chosen.layer.film.coatIds[0]!;
  const next = view.stack.layers.find((l) => l.planned) === chosen.layer;
  const dispatch = useStoreDispatch();
  const begun = painting.coats.find(
    (c) => c.id === layFirstId && isBegun(painting, c, view.passage.passage.id),
  );
  const [first, ...others] = chosen.repairs;
  return (
    <View style={{ gap: space.m }}>
      {next ? <WaitBar view={view} /> : null}
      {first ? <RepairButton view={view} repair={first} primary /> : null}
      {chosen.solving ? <RepairPlace /> : null}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.s }}>
        <Action
          title={begun ? 'Lay the rest' : 'Lay it'}
          kind={first ? 'plain' : 'primary'}
          onPress={() => setLaying(true)}
          style={{ flexGrow: 1 }}
        />
        <Action
          title="Edit the coat"
          onPress={() =>
            router.push({
              pathname: '/paintings/[id]/coats/[coatId]',
              params: { id: painting.id, coatId },
            })
          }
          style={{ flexGrow: 1 }}
        />
        {begun ? (
          <Action
            title="No more of it here"
            kind="quiet"
            onPress={() =>
              dispatch(
                changePainting(
                  painting.id,
                  `Left the rest of ${begun.name.toLowerCase()}`,
                  (p, m) => leaveRest(p, begun.id, [view.passage.passage.id], true, m),
                ),
              )
            }
          />
        ) : null}
      </View>
      {others.map((repair) => (
        <View key={repair.kind} style={{ gap: space.xs }}>
          <Text size="small" tone="ink2">
            {repairSentence(repair, painting.school)}
            {repair.fromMs !== null && repair.fromMs > view.nowMs
              ? ` That is ${about(repair.fromMs, view.nowMs)}.`
              : ''}
          </Text>
          <RepairButton view={view} repair={repair} primary={false} />
        </View>
      ))}
      {chosen.layer.film.coatIds.length > 0 && !isMaterial(painting, coatId) ? (
        <Action title="Open until, dry by …" onPress={() => setWishing(true)} />
      ) : null}
      {/* What goes into the wet has no day to be ready by: it is laid while the paint below is open. */}
      {chosen.layer.onto === 'wet' ? null : (
        <Action title="Ready by …" onPress={() => setReady(true)} />
      )}
      {ready ? (
        <ReadyBySheet
          painting={painting}
          coatId={layFirstId}
          passageId={view.passage.passage.id}
          coatName={chosen.layer.film.name}
          nowMs={view.nowMs}
          onClose={() => setReady(false)}
        />
      ) : null}
      {wishing ? (
        <WishDialog
          painting={painting}
          coatId={coatId}
          coatName={chosen.layer.film.name}
          nowMs={view.nowMs}
          onClose={() => setWishing(false)}
        />
      ) : null}
      {laying ? (
        <LayDialog
          painting={painting}
          coatId={layFirstId}
          passageId={view.passage.passage.id}
          nowMs={view.nowMs}
          onClose={() => setLaying(false)}
        />
      ) : null}
    </View>
  );
}

const isMaterial = (painting: Painting, coatId: string): boolean =>
  painting.coats.find((c) => c.id === coatId)?.recipe.material !== undefined;

function Dissents({ dissents }: { dissents: Dissent[] }) {
  if (dissents.length === 0) return null;
  return (
    <View style={{ gap: space.s }}>
      <Text strong>Other schools see it otherwise</Text>
      {dissents.map((d) => (
        <Text key={d.school} size="small" tone="ink2">
          <Text size="small" strong>
            {d.name}:{' '}
          </Text>
          {`${d.sentence} ${d.figures}`}
        </Text>
      ))}
    </View>
  );
}
