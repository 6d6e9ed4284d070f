export { LearnedScreen as default } from '@/features/lazy';
