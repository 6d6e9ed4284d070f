export { LogScreen as default } from '@/features/desk';
