/** What a picture that is nearly there still needs, as one piece: these screens share most of what they are made of. */
export { AirScreen } from '@/features/air/AirScreen';
export { CostsScreen } from '@/features/costs/CostsScreen';
export { YearScreen } from '@/features/costs/YearScreen';
export { PapersScreen } from '@/features/papers/PapersScreen';
export { FinishScreen } from './FinishScreen';
