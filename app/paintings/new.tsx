export { NewPaintingScreen as default } from '@/features/lazy';
