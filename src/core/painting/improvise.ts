import { CORRECTIONS } from '@/data/corrections';
import type { Coat } from './schema';

/** A new coat of the same paint as one that is there. What was decided or reasoned for that one is not carried over. */
export function likeCoat(coat: Coat, id: string, change: Partial<Coat>): Coat {
  const { overruled: _o, why: _w, enough: _e, minutes: _m, improvised: _i, ...same } = coat;
  return { ...same, ...change, id };
}

/** A touch of paint of a coat on some places, each a spot called so. */
export function dabOf(coat: Coat, id: string, passageIds: string[], name: string): Coat {
  return likeCoat(coat, id, {
    name,
    role: 'detail',
    passageIds,
    onto: 'touch-dry',
    spot: { name, share: CORRECTIONS.dabShare },
  });
}
