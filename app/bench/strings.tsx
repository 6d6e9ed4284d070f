export { StringsScreen as default } from '@/features/lazy';
