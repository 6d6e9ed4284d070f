export { LogScreen as default } from '@/features/lazy';
