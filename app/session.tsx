export { SessionScreen as default } from '@/features/lazy';
