import { FLEXIBLE } from '../painting/vocabulary';
import { DAY_MS } from '../drying';
import type { Predicate, RuleSite } from './types';
import { CONSERVATORS, SHEET } from './sources';
import { rule } from './rule';

/** The first film of paint on the ground: what the ground and the support have to say is said to it. */
const first = ({ below, film }: RuleSite): boolean =>
  (below.body === null || below.body.key === 'ground') &&
  film.key !== 'ground' &&
  film.kept.material === null;

const firstOil = (site: RuleSite): boolean => first(site) && site.film.traits.oilFilm;

/** A ground still too fresh when the first coat goes on. */
const fresh =
  (kind: RuleSite['ground']['kind']): Predicate =>
  (site) =>
    first(site) &&
    site.ground.kind === kind &&
    site.groundReadyAtMs !== null &&
    site.groundReadyAtMs > site.atMs
      ? { severity: 'caution', untilMs: site.groundReadyAtMs }
      : null;

const acrylicGroundFresh = rule({
  key: 'acrylic-ground-fresh',
  title: 'Fresh acrylic ground',
  says: 'Water and helpers are still leaving the gesso.',
  mend: 'A day at least, three in damp air or after several coats.',
  source: CONSERVATORS,
  confidence: 'high',
  needs: 'first-film',
  speaks: (site) => (firstOil(site) ? fresh('acrylic-gesso')(site) : null),
});

const chalkGroundFresh = rule({
  key: 'chalk-ground-fresh',
  title: 'Fresh chalk-glue ground',
  says: 'The glue is still giving off water.',
  mend: 'One to three days, more in damp air.',
  source: CONSERVATORS,
  confidence: 'medium',
  needs: 'first-film',
  speaks: fresh('chalk-glue'),
});

const oilGroundFresh = rule({
  key: 'oil-ground-fresh',
  title: 'Fresh oil ground',
  says: 'A soft ground cracks what is painted on it.',
  mend: 'Four weeks at least; eight for titanium or a thick ground.',
  source: CONSERVATORS,
  confidence: 'low',
  needs: 'first-film',
  speaks: fresh('oil-ground'),
});

const alkydGroundFresh = rule({
  key: 'alkyd-ground-fresh',
  title: 'Fresh alkyd ground',
  says: 'An alkyd ground needs some days before paint.',
  mend: 'Three to seven days.',
  source: CONSERVATORS,
  confidence: 'low',
  needs: 'first-film',
  speaks: fresh('alkyd-ground'),
});

const acrylicGround = rule({
  key: 'acrylic-ground',
  title: 'Oil on acrylic ground',
  says: 'Sound, when the gesso is matt and has tooth. It drinks some oil of the first coat.',
  mend: 'Nothing to do. Wear a dust mask if you sand it.',
  source: CONSERVATORS,
  confidence: 'high',
  needs: 'first-film',
  speaks: (site) =>
    firstOil(site) && site.ground.kind === 'acrylic-gesso' ? { severity: 'note' } : null,
});

const chalkGround = rule({
  key: 'chalk-ground',
  title: 'Chalk-glue ground',
  says: 'It drinks much oil and is brittle: rigid supports only.',
  mend: 'Seal it thinly, or count on a matt first coat; keep it off bare canvas.',
  source: CONSERVATORS,
  confidence: 'medium',
  needs: 'first-film',
  speaks: (site) =>
    // On canvas its brittleness is a caution of its own (canvas-flexes); on a panel it is the ground of the old schools.
    first(site) && site.ground.kind === 'chalk-glue' ? { severity: 'note' } : null,
});

const bareSupport = rule({
  key: 'bare-support',
  title: 'Oil on bare canvas or wood',
  says: 'Oil rots the fibres of canvas and soaks into bare wood.',
  mend: 'Size it first, with glue, PVA or acrylic; then a ground.',
  source: CONSERVATORS,
  confidence: 'high',
  needs: 'first-film',
  speaks: (site) =>
    firstOil(site) &&
    site.ground.kind === 'bare' &&
    site.ground.size === 'none' &&
    site.support.kind !== 'metal-panel'
      ? { severity: 'forbid' }
      : null,
});

const smoothGround = rule({
  key: 'smooth-ground',
  title: 'Smooth or polished ground',
  says: 'Little for the paint to hold on to.',
  mend: 'Abrade it, keep the first coat thin, try a cross-cut on an offcut.',
  source: CONSERVATORS,
  confidence: 'medium',
  needs: 'first-film',
  speaks: (site) =>
    first(site) && 'smooth' in site.ground && site.ground.smooth === true
      ? { severity: 'caution' }
      : null,
});

const metalSupport = rule({
  key: 'metal-support',
  title: 'Metal support',
  says: 'Paint on smooth metal needs a key.',
  mend: 'Abrade and degrease it; a lead or alkyd ground, cured.',
  source: CONSERVATORS,
  confidence: 'medium',
  needs: 'first-film',
  speaks: (site) =>
    first(site) && site.support.kind === 'metal-panel' ? { severity: 'caution' } : null,
});

const unsealedBoard = rule({
  key: 'unsealed-board',
  title: 'Board or panel not sealed',
  says: 'Acids of the board and moving water reach the paint; oil soaks in.',
  mend: 'Size and ground it first; three to seven days after the ground.',
  source: CONSERVATORS,
  confidence: 'medium',
  needs: 'first-film',
  speaks: (site) =>
    first(site) &&
    (site.support.kind === 'fibreboard-panel' || site.support.kind === 'wood-panel') &&
    site.support.sealed === false
      ? { severity: 'caution' }
      : null,
});

const epoxyBelow = rule({
  key: 'epoxy-below',
  title: 'Oil on cured epoxy',
  says: 'A glassy surface that paint grips badly.',
  mend: 'Abrade it well, then a ground, and three to seven days.',
  source: CONSERVATORS,
  confidence: 'medium',
  needs: 'other-stuff',
  speaks: ({ film, below }) =>
    film.traits.oilFilm && below.body?.kept.material === 'epoxy'
      ? { severity: 'caution', about: below.body.name }
      : null,
});

const panelMoves = rule({
  key: 'panel-moves',
  title: 'Wooden panel',
  says: 'Wood moves across the grain with damp and dry.',
  mend: 'Seal faces and edges alike.',
  source: CONSERVATORS,
  confidence: 'medium',
  needs: 'first-film',
  speaks: (site) =>
    first(site) && site.support.kind === 'wood-panel' ? { severity: 'note' } : null,
});

const canvasFlexes = rule({
  key: 'canvas-flexes',
  title: 'Stiff or weak film on canvas',
  says: 'Canvas flexes: zinc, lean or waxy films, thick knife paint, casein and chalk-glue crack on it.',
  mend: 'Take a rigid support, or make the film thinner, fatter, free of zinc and wax. Never roll it before it is dry through.',
  source: CONSERVATORS,
  confidence: 'medium',
  needs: 'always',
  speaks: (site) => {
    const { film, ground, support, handbook } = site;
    if (!FLEXIBLE.has(support.kind)) return null;
    const c = handbook.constants;
    const stiff =
      film.kept.material === 'casein' ||
      (first(site) && ground.kind === 'chalk-glue') ||
      (film.traits.oilFilm &&
        (film.traits.zincShare > 0 ||
          (film.composition.reducedPvc ?? 0) > c.canvasReducedPvc ||
          film.composition.waxOfFilm > c.waxFlexibleMax));
    if (stiff) return { severity: 'caution' };
    if (!film.traits.oilFilm || film.thicknessUm < c.canvasThickUm) return null;
    // Loaded lights bend with the thin paint around them; a whole surface of knife paint does not.
    return { severity: film.role === 'detail' ? 'note' : 'caution' };
  },
});

const sizeMoves = rule({
  key: 'size-moves',
  title: 'Glue size and the air',
  says: 'Glue size tightens and slackens outside 40 to 60 % humidity, and takes the paint with it.',
  mend: 'Keep the air between 40 and 60 %, or size with PVA or acrylic.',
  source: 'Mecklenburg and co-workers; from memory',
  confidence: 'medium',
  needs: 'first-film',
  speaks: (site) => {
    const { ground, climate } = site;
    const { glueSizeRhMinPct, glueSizeRhMaxPct } = site.handbook.constants;
    const glue = ground.kind === 'chalk-glue' || (ground.kind === 'bare' && ground.size === 'glue');
    const outside =
      climate.relativeHumidityPct < glueSizeRhMinPct ||
      climate.relativeHumidityPct > glueSizeRhMaxPct;
    return first(site) && glue && outside
      ? { severity: 'caution', value: climate.relativeHumidityPct }
      : null;
  },
});

/** Old paint younger than a year is named with the day it is past it. */
const oldPainting = rule({
  key: 'old-painting',
  title: 'On an old oil picture',
  says: 'A glossy, hard or soiled surface holds new paint badly; there may be wax, varnish or zinc in it.',
  mend: 'Clean and degrease it, look for varnish or wax, dull a gloss lightly, try a small patch. Paint younger than a year: wait.',
  source: CONSERVATORS,
  confidence: 'medium',
  needs: 'first-film',
  speaks: (site) => {
    const { ground, handbook, atMs } = site;
    if (!first(site) || ground.kind !== 'old-painting') return null;
    const ready = Date.parse(ground.paintedAt) + handbook.constants.oldPaintYoungDays * DAY_MS;
    if (ready > atMs) return { severity: 'caution', untilMs: ready };
    return { severity: ground.surface === 'matt' ? 'note' : 'caution' };
  },
});

const oldPaintingVarnished = rule({
  key: 'old-painting-varnished',
  title: 'Varnish or wax on the old picture',
  says: 'New paint on varnish or wax has no bond, and goes when the varnish is taken off.',
  mend: 'Have the varnish or wax taken off first.',
  source: CONSERVATORS,
  confidence: 'high',
  needs: 'first-film',
  speaks: (site) =>
    first(site) &&
    site.ground.kind === 'old-painting' &&
    (site.ground.surface === 'varnished' || site.ground.surface === 'waxed')
      ? { severity: 'forbid' }
      : null,
});

const oldPaintingLead = rule({
  key: 'old-painting-lead',
  title: 'Lead may be in the old picture',
  says: 'Dust of lead paint poisons, and stays in a house.',
  mend: `No sanding, wet or dry, in a home. ${SHEET}`,
  source: CONSERVATORS,
  confidence: 'high',
  needs: 'first-film',
  speaks: (site) =>
    first(site) && site.ground.kind === 'old-painting' && site.ground.lead === true
      ? { severity: 'caution' }
      : null,
});

/** In the order in which they are told among equals. */
export const GROUND_RULES = [
  acrylicGroundFresh,
  acrylicGround,
  chalkGround,
  chalkGroundFresh,
  oilGroundFresh,
  alkydGroundFresh,
  bareSupport,
  smoothGround,
  metalSupport,
  unsealedBoard,
  epoxyBelow,
  panelMoves,
  canvasFlexes,
  sizeMoves,
  oldPainting,
  oldPaintingVarnished,
  oldPaintingLead,
] as const;
