import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { PALETTE } from '@/data/pace';
import { constantAir } from '@/core/drying';
import {
  changeMix,
  coverPalette,
  keptMixes,
  paletteWindow,
  putOut,
  servedBy,
  type PaletteMix,
  type Session,
  type Work,
} from '@/core/session';
import { STUDIO_HANDBOOK } from '@/core/handbook';
import { changeSession } from '@/store/actions';
import { nowIso } from '@/store/clock';
import {
  useAssessOptions,
  useNow,
  usePaintings,
  useStoreDispatch,
  useStoreSelector,
  useSwatches,
} from '@/store/hooks';
import { recipeColour } from '@/features/colours';
import { Action } from '@/ui/Action';
import { Heading, Text } from '@/ui/Text';
import { about } from '@/ui/time/words';
import { colour, space } from '@/ui/tokens';
import { PremixSheet } from './PremixSheet';
import { useSessions } from './useSession';

const DAY_MS = 86_400_000;

/** The mixes on the palette, each with its own clock; and what was kept from the sessions before. */
export function PalettePart({ session, running }: { session: Session; running: Work | null }) {
  const dispatch = useStoreDispatch();
  const nowMs = useNow();
  const [mixing, setMixing] = useState(false);
  const sessions = useSessions();
  const painting = useStoreSelector((s) => s.paintings.entities[running?.paintingId ?? '']);
  const coat = painting?.coats.find((c) => c.id === running?.coatId);
  const there = session.palette.filter((m) => m.goneAt === null);
  const already = there.some((m) => m.name === coat?.name);
  const kept = useMemo(
    () =>
      keptMixes(sessions, session.id).filter(
        ({ mix }) => nowMs - Date.parse(mix.madeAt) < PALETTE.keptDays * DAY_MS,
      ),
    [sessions, session.id, nowMs],
  );
  const open = session.endedAt === null;
  return (
    <View style={{ gap: space.xs }}>
      <Heading>On the palette</Heading>
      {there.length === 0 && kept.length === 0 ? <Text tone="ink2">No mix is noted.</Text> : null}
      {there.map((mix) => (
        <MixRow key={mix.id} mix={mix} sessionId={session.id} />
      ))}
      {open && kept.length > 0 ? (
        <>
          <Text size="small" tone="ink2">
            Kept from before
          </Text>
          {kept.map(({ mix, sessionId }) => (
            <MixRow key={mix.id} mix={mix} sessionId={sessionId} />
          ))}
        </>
      ) : null}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.s }}>
        {coat && coat.recipe.mix.length > 0 && !already && open ? (
          <Action
            title={`Put out: ${coat.name.toLowerCase()}`}
            onPress={() =>
              dispatch(
                changeSession(session.id, `Put out ${coat.name.toLowerCase()}`, (s, m) =>
                  putOut(s, { name: coat.name, recipe: coat.recipe, ml: null }, m),
                ),
              )
            }
          />
        ) : null}
        {open ? <Action title="Another mix" kind="quiet" onPress={() => setMixing(true)} /> : null}
        {there.some((m) => m.coveredAt === null) ? (
          <Action
            title="Cover and cool"
            onPress={() =>
              dispatch(
                changeSession(session.id, 'Covered the palette', (s, m) => coverPalette(s, m)),
              )
            }
          />
        ) : null}
      </View>
      {mixing ? <PremixSheet session={session} onClose={() => setMixing(false)} /> : null}
    </View>
  );
}

function MixRow({ mix, sessionId }: { mix: PaletteMix; sessionId: string }) {
  const swatches = useSwatches();
  const dispatch = useStoreDispatch();
  const nowMs = useNow();
  const options = useAssessOptions();
  const air = options.air ?? constantAir(STUDIO_HANDBOOK.constants, options.climate);
  const paintings = usePaintings();
  // The session is drawn anew every second; who was served is not looked up for that.
  const served = useMemo(() => servedBy(mix, paintings), [mix, paintings]);
  const window = paletteWindow(STUDIO_HANDBOOK, air, options.climate, mix, nowMs);
  const till = window.p90 ?? window.p50;
  return (
    <View
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        gap: space.m,
        borderBottomWidth: 1,
        borderBottomColor: colour.rule,
        paddingVertical: space.xs,
      }}
    >
      <View
        style={{
          width: 26,
          height: 26,
          borderRadius: 13,
          backgroundColor: recipeColour(mix.recipe, swatches),
          borderWidth: 1,
          borderColor: colour.ink2,
        }}
      />
      <View style={{ flex: 1 }}>
        <Text strong>{mix.ml ? `${mix.name}, ${mix.ml} ml` : mix.name}</Text>
        <Text size="small" tone="ink2">
          {!window.usable
            ? 'past its time: look for a skin'
            : till === null
              ? 'stays usable'
              : `usable ${till > nowMs ? 'till' : 'past the careful mark of'} ${about(till, nowMs)}${mix.coveredAt ? ', covered and cool' : ''}`}
        </Text>
        {served.length > 0 ? (
          <Text size="small" tone="ink2">
            {`served ${served.map((s) => `${s.coat.toLowerCase()}, ${s.painting}`).join('; ')}`}
          </Text>
        ) : null}
      </View>
      <Action
        title="Gone"
        kind="quiet"
        label={`Gone: ${mix.name}`}
        onPress={() =>
          dispatch(
            changeSession(sessionId, `Took ${mix.name} off the palette`, (s) =>
              changeMix(s, mix.id, { goneAt: nowIso() }),
            ),
          )
        }
      />
    </View>
  );
}
