export { PaintingsScreen as default } from '@/features/paintings/PaintingsScreen';
