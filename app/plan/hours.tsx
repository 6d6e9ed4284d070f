export { HoursScreen as default } from '@/features/desk';
