import { format } from 'date-fns/format';
import type { Picture } from '@/core/looking/schema';

/** "10 Feb 13:05", or what a picture is for. */
export function pictureName(p: Picture): string {
  if (p.kind === 'design') return 'design';
  const day = format(new Date(p.takenAt), 'd MMM HH:mm');
  return p.kind === 'reference' ? `reference${p.purpose ? `, ${p.purpose}` : ''}, ${day}` : day;
}
