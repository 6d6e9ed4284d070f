export { PlanSessionsScreen as default } from '@/features/lazy';
