import { SideTabs } from '@/features/frame/SideTabs';

const PAGES = [
  { href: '/plan', name: 'Film' },
  { href: '/plan/sessions', name: 'Sessions' },
  { href: '/plan/what-if', name: 'What if' },
  { href: '/plan/hours', name: 'Hours' },
  { href: '/plan/weeks', name: 'Weeks' },
] as const;

/** The sides of the plan. */
export const PlanTabs = () => <SideTabs name="Of the plan" pages={PAGES} />;
