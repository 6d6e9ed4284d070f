export { PlanSessionsScreen as default } from '@/features/desk';
