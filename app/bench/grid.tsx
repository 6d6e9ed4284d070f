export { GridScreen as default } from '@/features/bench/GridScreen';
