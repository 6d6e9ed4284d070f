export { OilingOutScreen as default } from '@/features/lazy';
