export { StudioScreen as default } from '@/features/lazy';
