import { isPassedOver } from '../film';
import { isOilGround } from '../painting/ground';
import type { Ground } from '../painting/schema';
import type { Handbook } from '../handbook';
import type { BelowSummary, RuleFilm } from './types';

const FINAL: ReadonlySet<string | null> = new Set([
  'resin-varnish',
  'synthetic-varnish',
  'waterborne-varnish',
  'wax-polish',
]);
/** What goes on last, over the whole picture: not a retouch varnish. */
export const isFinalVarnish = (material: string | null): boolean => FINAL.has(material);

const OLD_PAINT = 'old painting';

/** What the ground alone puts below the first film. */
export function belowOnGround(ground: Ground): BelowSummary {
  const old = ground.kind === 'old-painting';
  return {
    oil: isOilGround(ground),
    direct: null,
    otherStuff: false,
    additives: false,
    body: null,
    zincForbidden: old && ground.zinc === true ? OLD_PAINT : null,
    zincTrace: null,
    resin: null,
    retouch: null,
    finalVarnish: null,
    pastel: null,
    drier: null,
    clove: null,
    bitumen: null,
    charcoal: null,
    graphite: null,
    dye: null,
    shellac: null,
    bleeder: null,
  };
}

const SEALS: ReadonlySet<string | null> = new Set(['fixative', 'shellac', 'acrylic-medium']);

/** A film that locks loose drawing in: fixative, shellac, acrylic medium, or a coat of any paint. */
const locks = (film: RuleFilm): boolean =>
  SEALS.has(film.kept.material) || !isPassedOver(film.kept);

/** The summary for whatever lies on this film. One step, so a stack is summed up in one pass. */
export function withFilm(below: BelowSummary, film: RuleFilm, handbook: Handbook): BelowSummary {
  const { name, traits, kept, composition } = film;
  const { material } = kept;
  const c = handbook.constants;
  const resinous =
    material === 'retouch-varnish' ||
    material === 'resin-varnish' ||
    (traits.oilFilm && composition.resinOfBinder > c.resinMaxOfBinder);
  const locked = locks(film);
  return {
    oil: below.oil || traits.oilFilm || material === 'household-enamel' || material === 'oil-stick',
    direct: film,
    otherStuff: below.otherStuff || material !== null,
    additives: below.additives || traits.additives,
    body: isPassedOver(kept) ? below.body : film,
    zincForbidden: traits.zincShare >= c.zincForbidShare ? name : below.zincForbidden,
    zincTrace: traits.zincShare > 0 ? name : below.zincTrace,
    resin: resinous ? name : below.resin,
    retouch: material === 'retouch-varnish' ? name : below.retouch,
    finalVarnish: isFinalVarnish(material) ? name : below.finalVarnish,
    pastel: material === 'oil-pastel' ? name : below.pastel,
    drier: traits.drierShare > 0 ? name : below.drier,
    clove: kept.cloveWtPct > 0 ? name : below.clove,
    bitumen: traits.bitumen ? name : below.bitumen,
    charcoal: material === 'charcoal' ? name : locked ? null : below.charcoal,
    graphite: material === 'graphite' ? name : locked ? null : below.graphite,
    // Dye goes through whatever covers it; only shellac stops it.
    dye: material === 'ink-pen' ? name : material === 'shellac' ? null : below.dye,
    shellac: material === 'shellac' ? name : below.shellac,
    bleeder: traits.bleeds ? name : below.bleeder,
  };
}
