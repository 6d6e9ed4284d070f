export { ClimateScreen as default } from '@/features/lazy';
