export { LearnedScreen as default } from '@/features/desk';
