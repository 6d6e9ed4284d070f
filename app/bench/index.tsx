export { MediumBenchScreen as default } from '@/features/desk';
