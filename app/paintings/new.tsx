export { NewPaintingScreen as default } from '@/features/paintings/NewPaintingScreen';
