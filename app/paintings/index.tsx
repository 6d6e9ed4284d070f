export { PaintingsScreen as default } from '@/features/lazy';
