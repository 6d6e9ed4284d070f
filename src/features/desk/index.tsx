import { lazy, Suspense, useEffect, useState, type ComponentType } from 'react';
import { View } from 'react-native';
import { useStoreSelector } from '@/store/hooks';
import { Text } from '@/ui/Text';
import { space } from '@/ui/tokens';

type Screens = typeof import('./screens');

const load = (): Promise<Screens> => import('./screens');

/** A screen of the desk, loaded with all the others when the first of them is opened. */
function onDesk<P extends object>(
  pick: (screens: Screens) => ComponentType<P>,
  quiet = false,
): ComponentType<P> {
  const Screen = lazy(async () => ({ default: pick(await load()) }));
  return function DeskScreen(props: P) {
    return (
      <Suspense fallback={quiet ? null : <Opening />}>
        <Screen {...props} />
      </Suspense>
    );
  };
}

function Opening() {
  return (
    <View style={{ padding: space.xl }}>
      <Text tone="ink2">Opening …</Text>
    </View>
  );
}

/** How long Today is left in peace before the desk is fetched behind it. */
const FETCH_AFTER_MS = 1500;

const Background = onDesk<object>((d) => d.Background, true);

/**
 * Fetches the desk while the painter looks at Today, so that the first tap does not wait for it; at once where
 * there are touch tests to learn from or a logger to listen to. What goes on in the background comes with it.
 */
export function FetchDesk() {
  const [fetched, setFetched] = useState(false);
  const urgent = useStoreSelector(
    (state) =>
      state.studio.loggerOn ||
      Object.values(state.paintings.entities).some((p) =>
        p.events.some((e) => e.kind === 'touched'),
      ),
  );
  useEffect(() => {
    const timer = setTimeout(() => {
      // Offline or gone: the tap itself tries again.
      load().then(
        () => setFetched(true),
        () => undefined,
      );
    }, FETCH_AFTER_MS);
    return () => clearTimeout(timer);
  }, []);
  return fetched || urgent ? <Background /> : null;
}

export const AboutPaintingScreen = onDesk((d) => d.AboutPaintingScreen);
export const CabinetScreen = onDesk((d) => d.CabinetScreen);
export const CoatScreen = onDesk((d) => d.CoatScreen);
export const GridScreen = onDesk((d) => d.GridScreen);
export const MediumBenchScreen = onDesk((d) => d.MediumBenchScreen);
export const NewPaintingScreen = onDesk((d) => d.NewPaintingScreen);
export const OilingOutScreen = onDesk((d) => d.OilingOutScreen);
export const PaintBenchScreen = onDesk((d) => d.PaintBenchScreen);
export const PaintingScreen = onDesk((d) => d.PaintingScreen);
export const PaintingsScreen = onDesk((d) => d.PaintingsScreen);
export const SectionScreen = onDesk((d) => d.SectionScreen);
export const SettingsScreen = onDesk((d) => d.SettingsScreen);
export const ClimateScreen = onDesk((d) => d.ClimateScreen);
export const DaylightBand = onDesk((d) => d.DaylightBand, true);
export const HoursAtHand = onDesk((d) => d.HoursAtHand, true);
export const WorthATouch = onDesk((d) => d.WorthATouch, true);
export const LearnedScreen = onDesk((d) => d.LearnedScreen);
export const LogScreen = onDesk((d) => d.LogScreen);
export const SessionPageScreen = onDesk((d) => d.SessionPageScreen);
export const SessionScreen = onDesk((d) => d.SessionScreen);
export const StudioScreen = onDesk((d) => d.StudioScreen);
export const TouchScreen = onDesk((d) => d.TouchScreen);
export const PlanScreen = onDesk((d) => d.PlanScreen);
export const PlanSessionsScreen = onDesk((d) => d.PlanSessionsScreen);
export const WhatIfScreen = onDesk((d) => d.WhatIfScreen);
export const HoursScreen = onDesk((d) => d.HoursScreen);
export const WeeksScreen = onDesk((d) => d.WeeksScreen);
export const DatesScreen = onDesk((d) => d.DatesScreen);
