export { GridScreen as default } from '@/features/desk';
