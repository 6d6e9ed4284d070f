import { AIR_OF_ROOM, VAPOUR_OF, VAPOURS, type VapourKey } from '@/data/air';
import { FINISH } from '@/data/finish';
import { MATERIALS } from '@/data/materials';
import { mediumFigures, type Recipe } from '../film';
import type { Handbook } from '../handbook';
import type { Painting } from '../painting/schema';
import { laidEvents } from '../painting/sites';
import { paintNeeded, type Losses } from '../quantity/paint-needed';
import { lossesOf } from '../quantity/shopping';
import { laidCm2 } from '../session/pace';
import type { Session } from '../session/schema';

/** Something that gives off vapour while one paints. */
export type Source =
  | { kind: 'film'; vapour: VapourKey; ml: number }
  | { kind: 'dish'; vapour: VapourKey; diameterCm: number; hours: number }
  | { kind: 'washing'; vapour: VapourKey; ml: number };

/** What a coat of an area gives off, by vapour, ml: solvents, and the solvent of varnishes and mediums; water is none. */
export function vapourOfCoat(
  handbook: Handbook,
  recipe: Recipe,
  areaCm2: number,
  losses: Losses,
): Extract<Source, { kind: 'film' }>[] {
  if (!(areaCm2 > 0)) return [];
  if (recipe.material !== undefined) {
    if (MATERIALS[recipe.material].family !== 'varnish' || recipe.material === 'waterborne-varnish')
      return [];
    const wetUm = (FINISH.varnishWetLeastUm + FINISH.varnishWetMostUm) / 2;
    return [
      {
        kind: 'film',
        vapour: recipe.material === 'resin-varnish' ? 'turpentine' : 'odourless',
        ml: areaCm2 * wetUm * 1e-4 * AIR_OF_ROOM.varnishSolventShare,
      },
    ];
  }
  const sums = new Map<VapourKey, number>();
  for (const { part, ml } of paintNeeded(handbook, recipe, areaCm2, losses).ingredients) {
    const vapour = VAPOUR_OF[part.ingredient];
    if (!vapour) continue;
    const volatile = ml * (1 - mediumFigures([part]).solidsVolumeFraction);
    if (volatile > 0) sums.set(vapour, (sums.get(vapour) ?? 0) + volatile);
  }
  return [...sums].map(([vapour, ml]) => ({ kind: 'film', vapour, ml }));
}

/** What was laid in a session on the pictures it worked on, as what it gave off. */
export function vapourOfSession(
  handbook: Handbook,
  session: Session,
  paintings: Record<string, Painting | undefined>,
): Source[] {
  const [fromMs, toMs] = [
    Date.parse(session.startedAt),
    session.endedAt === null ? Infinity : Date.parse(session.endedAt),
  ];
  return [...new Set(session.works.map((w) => w.paintingId))].flatMap((id) => {
    const painting = paintings[id];
    if (!painting) return [];
    return laidEvents(painting)
      .filter((e) => Date.parse(e.at) >= fromMs && Date.parse(e.at) <= toMs)
      .flatMap((e) =>
        vapourOfCoat(handbook, e.recipe, laidCm2(painting, e), lossesOf(handbook, painting)),
      );
  });
}

const G_TO_MG = 1000;

/**
 * mg an hour from an open dish: k A p M / (R T), all that leaves the surface carried off. Least in still air with the
 * lightest of pressures, most in a draught.
 */
export function dishMgPerH(vapour: VapourKey, diameterCm: number, which: 'least' | 'most'): number {
  const { molarMass, pressureKPa } = VAPOURS[vapour];
  const { gasConstant, referenceK, dishTransferLeastMPerH, dishTransferMostMPerH } = AIR_OF_ROOM;
  const m2 = Math.PI * (diameterCm / 200) ** 2;
  const gPerM3 =
    ((which === 'least' ? pressureKPa[0] : pressureKPa[1]) * 1000 * molarMass) /
    (gasConstant * referenceK);
  const k = which === 'least' ? dishTransferLeastMPerH : dishTransferMostMPerH;
  return k * m2 * gPerM3 * G_TO_MG;
}

/** mg that some ml are. */
export const mgOf = (vapour: VapourKey, ml: number): number =>
  ml * VAPOURS[vapour].densityGPerMl * G_TO_MG;
