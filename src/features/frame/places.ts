import {
  bottleTonicOutlineIcon,
  cogOutlineIcon,
  imageFrameIcon,
  paletteOutlineIcon,
  weatherSunsetIcon,
} from '@/ui/icons';

export interface Place {
  name: string;
  href: '/' | '/paintings' | '/bench' | '/cabinet' | '/settings';
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
    name: 'Bench',
    href: '/bench',
    icon: bottleTonicOutlineIcon,
    owns: (path) => path.startsWith('/bench'),
  },
  {
    name: 'Cabinet',
    href: '/cabinet',
    icon: paletteOutlineIcon,
    owns: (path) => path.startsWith('/cabinet'),
  },
  {
    name: 'Settings',
    href: '/settings',
    icon: cogOutlineIcon,
    owns: (path) => path.startsWith('/settings'),
  },
];
