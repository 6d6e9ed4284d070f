export { PaintingsScreen as default } from '@/features/desk';
