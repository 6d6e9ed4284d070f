export { PlanScreen as default } from '@/features/desk';
