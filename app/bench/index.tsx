export { MediumBenchScreen as default } from '@/features/lazy';
