export { PaintBenchScreen as default } from '@/features/bench/PaintBenchScreen';
