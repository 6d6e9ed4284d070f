import { cogOutlineIcon, imageFrameIcon, weatherSunsetIcon } from '@/ui/icons';

export interface Place {
  name: string;
  href: '/' | '/paintings' | '/settings';
  icon: string;
  owns(path: string): boolean;
}

/** The places of the studio that exist. */
export const PLACES: Place[] = [
  { name: 'Today', href: '/', icon: weatherSunsetIcon, owns: (path) => path === '/' },
  {
    name: 'Paintings',
    href: '/paintings',
    icon: imageFrameIcon,
    owns: (path) => path.startsWith('/paintings'),
  },
  {
    name: 'Settings',
    href: '/settings',
    icon: cogOutlineIcon,
    owns: (path) => path.startsWith('/settings'),
  },
];
