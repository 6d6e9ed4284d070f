export { NotHereScreen as default } from '@/features/frame/NotHereScreen';
