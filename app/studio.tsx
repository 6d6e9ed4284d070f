export { StudioScreen as default } from '@/features/desk';
