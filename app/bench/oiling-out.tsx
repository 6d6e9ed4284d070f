export { OilingOutScreen as default } from '@/features/desk';
