export { NewPaintingScreen as default } from '@/features/desk';
