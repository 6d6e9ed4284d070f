export { PaintBenchScreen as default } from '@/features/lazy';
