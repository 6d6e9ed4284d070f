export { WeeksScreen as default } from '@/features/lazy';
