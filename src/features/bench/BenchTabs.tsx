import { SideTabs } from '@/features/frame/SideTabs';

const PAGES = [
  { href: '/bench', name: 'Medium' },
  { href: '/bench/paint', name: 'Paint' },
  { href: '/bench/oiling-out', name: 'Oiling out' },
  { href: '/bench/grid', name: 'Grid' },
] as const;

/** The four things that are reckoned on the bench. */
export const BenchTabs = () => <SideTabs name="On the bench" pages={PAGES} />;
