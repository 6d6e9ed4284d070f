import { View } from 'react-native';
import { constantAir } from '@/core/drying';
import {
  changeMix,
  coverPalette,
  paletteWindow,
  putOut,
  type Session,
  type Work,
} from '@/core/session';
import { filmOfRecipe } from '@/core/film';
import { mixColour } from '@/core/optics';
import { STUDIO_HANDBOOK } from '@/core/handbook';
import { changeSession } from '@/store/actions';
import { nowIso } from '@/store/clock';
import { useAssessOptions, useNow, useStoreDispatch, useStoreSelector } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Heading, Text } from '@/ui/Text';
import { about } from '@/ui/time/words';
import { colour, space } from '@/ui/tokens';

/** The colour of a recipe; paint is data. */
export const recipeColour = (recipe: Parameters<typeof filmOfRecipe>[1]): string =>
  mixColour(filmOfRecipe(STUDIO_HANDBOOK, recipe).pigments as Record<string, number>);

/** The mixes on the palette, each with its own clock. */
export function PalettePart({ session, running }: { session: Session; running: Work | null }) {
  const dispatch = useStoreDispatch();
  const nowMs = useNow();
  const options = useAssessOptions();
  const air = options.air ?? constantAir(STUDIO_HANDBOOK.constants, options.climate);
  const painting = useStoreSelector((s) => s.paintings.entities[running?.paintingId ?? '']);
  const coat = painting?.coats.find((c) => c.id === running?.coatId);
  const there = session.palette.filter((m) => m.goneAt === null);
  const already = there.some((m) => m.name === coat?.name);
  return (
    <View style={{ gap: space.xs }}>
      <Heading>On the palette</Heading>
      {there.length === 0 ? <Text tone="ink2">No mix is noted.</Text> : null}
      {there.map((mix) => {
        const window = paletteWindow(STUDIO_HANDBOOK, air, options.climate, mix, nowMs);
        const till = window.p90 ?? window.p50;
        return (
          <View
            key={mix.id}
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
                backgroundColor: recipeColour(mix.recipe),
                borderWidth: 1,
                borderColor: colour.ink2,
              }}
            />
            <View style={{ flex: 1 }}>
              <Text strong>{mix.name}</Text>
              <Text size="small" tone="ink2">
                {!window.usable
                  ? 'past its time: look for a skin'
                  : till === null
                    ? 'stays usable'
                    : `usable ${till > nowMs ? 'till' : 'past the careful mark of'} ${about(till, nowMs)}${mix.coveredAt ? ', covered and cool' : ''}`}
              </Text>
            </View>
            <Action
              title="Gone"
              kind="quiet"
              onPress={() =>
                dispatch(
                  changeSession(session.id, `Took ${mix.name} off the palette`, (s) =>
                    changeMix(s, mix.id, { goneAt: nowIso() }),
                  ),
                )
              }
            />
          </View>
        );
      })}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.s }}>
        {coat && coat.recipe.mix.length > 0 && !already && session.endedAt === null ? (
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
    </View>
  );
}
