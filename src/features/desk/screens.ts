/**
 * Every screen but Today, in one piece of the bundle. The screens share most of what they are made of; were each
 * loaded by itself, the bundler would put all that is shared into what every visit loads first.
 */
export { AboutPaintingScreen } from '@/features/painting/AboutPaintingScreen';
export { GridScreen } from '@/features/bench/GridScreen';
export { MediumBenchScreen } from '@/features/bench/MediumBenchScreen';
export { OilingOutScreen } from '@/features/bench/OilingOutScreen';
export { PaintBenchScreen } from '@/features/bench/PaintBenchScreen';
export { CabinetScreen } from '@/features/cabinet/CabinetScreen';
export { CoatScreen } from '@/features/coat/CoatScreen';
export { NewPaintingScreen } from '@/features/paintings/NewPaintingScreen';
export { PaintingScreen } from '@/features/painting/PaintingScreen';
export { PaintingsScreen } from '@/features/paintings/PaintingsScreen';
export { SectionScreen } from '@/features/section/SectionScreen';
export { openDemo } from '@/store/take-in';
export { demoStudio } from '../../../demo/studio';
export { Background } from './Background';
export { ClimateScreen } from '@/features/climate/ClimateScreen';
export { DaylightBand } from '@/features/today/DaylightBand';
export { HoursAtHand } from '@/features/today/HoursAtHand';
export { WorthATouch } from '@/features/today/WorthATouch';
export { LearnedScreen } from '@/features/learn/LearnedScreen';
export { LogScreen } from '@/features/session/LogScreen';
export { SessionPageScreen } from '@/features/session/SessionPageScreen';
export { SessionScreen } from '@/features/session/SessionScreen';
export { StudioScreen } from '@/features/session/StudioScreen';
export { TouchScreen } from '@/features/touch/TouchScreen';
export { SettingsScreen } from '@/features/settings/SettingsScreen';
export { PlanScreen } from '@/features/plan/PlanScreen';
export { SessionsScreen as PlanSessionsScreen } from '@/features/plan/SessionsScreen';
export { WhatIfScreen } from '@/features/plan/WhatIfScreen';
export { HoursScreen } from '@/features/plan/HoursScreen';
export { WeeksScreen } from '@/features/plan/WeeksScreen';
export { DatesScreen } from '@/features/plan/DatesScreen';
