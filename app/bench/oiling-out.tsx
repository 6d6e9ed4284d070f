export { OilingOutScreen as default } from '@/features/bench/OilingOutScreen';
