import {
  bottleTonicOutlineIcon,
  calendarWeekIcon,
  cogOutlineIcon,
  dotsGridIcon,
  fingerprintIcon,
  imageFrameIcon,
  paletteOutlineIcon,
  timerOutlineIcon,
  weatherSunsetIcon,
} from '@/ui/icons';

export interface Place {
  name: string;
  href:
    | '/'
    | '/paintings'
    | '/touch'
    | '/bench'
    | '/cabinet'
    | '/settings'
    | '/session'
    | '/climate'
    | '/studio'
    | '/plan';
  icon: string;
  owns(path: string): boolean;
}

const place = (name: string, href: Place['href'], icon: string, also: string[] = []): Place => ({
  name,
  href,
  icon,
  owns: (path) =>
    href === '/' ? path === '/' : [href, ...also].some((start) => path.startsWith(start)),
});

const TODAY = place('Today', '/', weatherSunsetIcon);
const PAINTINGS = place('Paintings', '/paintings', imageFrameIcon);
const TOUCH = place('Touch', '/touch', fingerprintIcon);
const PLAN = place('Plan', '/plan', calendarWeekIcon);
const BENCH = place('Bench', '/bench', bottleTonicOutlineIcon);

/** At the foot of a phone: what is reached with the paint still wet. The rest is in the studio, behind the dots above. */
export const FOOT_PLACES: Place[] = [TODAY, PAINTINGS, TOUCH, PLAN, BENCH];

/** On the rail of a desk there is room for all. */
export const RAIL_PLACES: Place[] = [
  TODAY,
  PAINTINGS,
  TOUCH,
  place('Session', '/session', timerOutlineIcon, ['/log']),
  PLAN,
  BENCH,
  place('Cabinet', '/cabinet', paletteOutlineIcon),
  place('Studio', '/studio', dotsGridIcon, ['/climate', '/learned', '/money', '/air']),
  place('Settings', '/settings', cogOutlineIcon),
];
