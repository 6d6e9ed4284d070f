export { WeeksScreen as default } from '@/features/desk';
