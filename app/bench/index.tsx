export { MediumBenchScreen as default } from '@/features/bench/MediumBenchScreen';
