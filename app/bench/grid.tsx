export { GridScreen as default } from '@/features/lazy';
