export { PaintBenchScreen as default } from '@/features/desk';
