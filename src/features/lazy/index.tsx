import { lazy, Suspense, useEffect, type ComponentType } from 'react';
import { View } from 'react-native';
import { Boundary } from '@/features/frame/Boundary';
import { loadKit } from '@/pieces';
import { Text } from '@/ui/Text';
import { space } from '@/ui/tokens';

let readable = (): void => undefined;
/** Resolves when the first screen can be read: what is not needed for that keeps off the line until then. */
const firstScreen = new Promise<void>((resolve) => {
  readable = resolve;
});

/** A screen says that it can be read, once it stands and the browser has drawn it. */
export function useReadable(): void {
  useEffect(() => {
    const timer = setTimeout(readable);
    return () => clearTimeout(timer);
  }, []);
}

/**
 * A screen in a piece of its own, loaded when it is first opened; a quiet part waits until the first screen stands. One
 * that cannot be loaded, or fails, says so where it stands, and is loaded anew when that is asked for.
 */
function onDemand<P extends object>(
  load: () => Promise<ComponentType<P>>,
  quiet: string | null = null,
): ComponentType<P> {
  const begin = () =>
    lazy(async () => {
      if (quiet) await firstScreen;
      await loadKit();
      const Loaded = await load();
      readable();
      return { default: Loaded };
    });
  let Screen = begin();
  return function LazyScreen(props: P) {
    return (
      <Boundary
        of={quiet ? 'panel' : 'screen'}
        {...(quiet ? { name: quiet } : {})}
        onRetry={() => (Screen = begin())}
      >
        {() => (
          <Suspense fallback={quiet ? null : <Opening />}>
            <Screen {...props} />
          </Suspense>
        )}
      </Boundary>
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

/** What goes on behind every screen, with the kit that the first tap will want. */
export const Background = onDemand<object>(
  async () => (await import('./Background')).Background,
  'What goes on behind (plan, learning, readings)',
);

export const AboutPaintingScreen = onDemand(
  async () => (await import('@/features/painting/AboutPaintingScreen')).AboutPaintingScreen,
);
export const CabinetScreen = onDemand(
  async () => (await import('@/features/cabinet/CabinetScreen')).CabinetScreen,
);
const paintWork = () => import('@/features/coat/paint-work');
export const CoatScreen = onDemand(async () => (await paintWork()).CoatScreen);
export const GlazeScreen = onDemand(async () => (await paintWork()).GlazeScreen);
export const LookScreen = onDemand(async () => (await paintWork()).LookScreen);
/** What is done with a picture that is nearly there, in one piece. */
const lastTenth = () => import('@/features/finish/last-tenth');
export const FinishScreen = onDemand(async () => (await lastTenth()).FinishScreen);
export const PapersScreen = onDemand(async () => (await lastTenth()).PapersScreen);
export const CostsScreen = onDemand(async () => (await lastTenth()).CostsScreen);
export const YearScreen = onDemand(async () => (await lastTenth()).YearScreen);
export const AirScreen = onDemand(async () => (await lastTenth()).AirScreen);
export const GridScreen = onDemand(
  async () => (await import('@/features/bench/GridScreen')).GridScreen,
);
export const MediumBenchScreen = onDemand(
  async () => (await import('@/features/bench/MediumBenchScreen')).MediumBenchScreen,
);
export const NewPaintingScreen = onDemand(
  async () => (await import('@/features/paintings/NewPaintingScreen')).NewPaintingScreen,
);
export const OilingOutScreen = onDemand(
  async () => (await import('@/features/bench/OilingOutScreen')).OilingOutScreen,
);
export const PaintBenchScreen = onDemand(
  async () => (await import('@/features/bench/PaintBenchScreen')).PaintBenchScreen,
);
export const PaintingScreen = onDemand(
  async () => (await import('@/features/painting/PaintingScreen')).PaintingScreen,
);
export const PaintingsScreen = onDemand(
  async () => (await import('@/features/paintings/PaintingsScreen')).PaintingsScreen,
);
export const SectionScreen = onDemand(
  async () => (await import('@/features/section/SectionScreen')).SectionScreen,
);
export const SettingsScreen = onDemand(
  async () => (await import('@/features/settings/SettingsScreen')).SettingsScreen,
);
export const ClimateScreen = onDemand(
  async () => (await import('@/features/climate/ClimateScreen')).ClimateScreen,
);
const todayAtRest = () => import('@/features/today/AtRest');
export const DaylightBand = onDemand(
  async () => (await todayAtRest()).DaylightBand,
  'The daylight',
);
export const HoursAtHand = onDemand(
  async () => (await todayAtRest()).HoursAtHand,
  'What to do with the hours at hand',
);
export const WorthATouch = onDemand(
  async () => (await todayAtRest()).WorthATouch,
  'What is worth a touch',
);
export const Finished = onDemand<object>(
  async () => (await todayAtRest()).Finished,
  'What waits for varnish',
);
export const LookAgain = onDemand<object>(
  async () => (await todayAtRest()).LookAgain,
  'What is to be looked at again',
);
export const ExportReminder = onDemand(
  async () => (await todayAtRest()).ExportReminder,
  'The reminder of a file',
);
export const LearnedScreen = onDemand(
  async () => (await import('@/features/learn/LearnedScreen')).LearnedScreen,
);
export const LogScreen = onDemand(
  async () => (await import('@/features/session/LogScreen')).LogScreen,
);
export const SessionPageScreen = onDemand(
  async () => (await import('@/features/session/SessionPageScreen')).SessionPageScreen,
);
export const SessionScreen = onDemand(
  async () => (await import('@/features/session/SessionScreen')).SessionScreen,
);
export const StudioScreen = onDemand(
  async () => (await import('@/features/session/StudioScreen')).StudioScreen,
);
export const StringsScreen = onDemand(async () => (await paintWork()).StringsScreen);
export const SwatchPart = onDemand(
  async () => (await paintWork()).SwatchPart,
  'What your swatches say',
);
export const TouchScreen = onDemand(
  async () => (await import('@/features/touch/TouchScreen')).TouchScreen,
);
export const PlanScreen = onDemand(
  async () => (await import('@/features/plan/PlanScreen')).PlanScreen,
);
export const PlanSessionsScreen = onDemand(
  async () => (await import('@/features/plan/SessionsScreen')).SessionsScreen,
);
export const WhatIfScreen = onDemand(
  async () => (await import('@/features/plan/WhatIfScreen')).WhatIfScreen,
);
export const HoursScreen = onDemand(
  async () => (await import('@/features/plan/HoursScreen')).HoursScreen,
);
export const WeeksScreen = onDemand(
  async () => (await import('@/features/plan/WeeksScreen')).WeeksScreen,
);
export const DatesScreen = onDemand(
  async () => (await import('@/features/plan/DatesScreen')).DatesScreen,
);
