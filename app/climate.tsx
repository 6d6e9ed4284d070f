export { ClimateScreen as default } from '@/features/desk';
