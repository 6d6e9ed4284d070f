export { HoursScreen as default } from '@/features/lazy';
