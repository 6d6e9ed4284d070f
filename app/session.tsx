export { SessionScreen as default } from '@/features/desk';
