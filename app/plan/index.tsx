export { PlanScreen as default } from '@/features/lazy';
