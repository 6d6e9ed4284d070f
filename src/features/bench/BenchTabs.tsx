import { SideTabs } from '@/features/frame/SideTabs';

const PAGES = [
  { href: '/bench', name: 'Medium' },
  { href: '/bench/glaze', name: 'Glaze' },
  { href: '/bench/strings', name: 'Strings' },
  { href: '/bench/paint', name: 'Paint' },
  { href: '/bench/oiling-out', name: 'Oiling out' },
  { href: '/bench/grid', name: 'Grid' },
] as const;

/** What is reckoned on the bench. */
export const BenchTabs = () => <SideTabs name="On the bench" pages={PAGES} />;
