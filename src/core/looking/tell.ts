import { LOOKING } from '@/data/looking';
import { borderOf } from './edit';
import { EDGE_KINDS } from './edge-kinds';
import { driftedBy } from './drawing';
import { kindOf, type EdgeFound } from './edges';
import type { Looked } from './look';
import { wantedL, type Pair } from './relations';
import { relationSigma } from './trust';
import type { Looking } from './schema';

/** What a look says, in a painter's words: relations and differences with their error; never a mark for a picture. */

/** Values are told in steps of ten L*, which painters count from 0, black, to 10, white. */
const STEP = 10;

export interface PassageTold {
  id: string;
  name: string;
  /** "1.3 values too light", "true", "order only". */
  words: string;
  /** Departs beyond the error: by so much L*; null where it holds or nothing can be told. */
  byL: number | null;
  /** As much on the scale of the design: what "meant so" keeps. */
  meantL: number | null;
  designL: number | null;
  workL: number;
  sigmaL: number;
}

export interface LookTold {
  /** One sentence. */
  verdict: string;
  passages: PassageTold[];
  /** Turned pairs, what is spent, what shines. */
  lines: string[];
}

/** A number of values in words, as fine as the photo can tell. */
export function valuesWords(L: number, level: Looked['trust']['level']): string {
  const steps = Math.abs(L) / STEP;
  if (level === 'steps')
    return `${steps.toFixed(1)} ${steps >= 0.95 && steps < 1.05 ? 'value' : 'values'}`;
  const halves = Math.max(0.5, Math.round(steps * 2) / 2);
  const whole = Math.floor(halves);
  const words = halves % 1 === 0 ? `${whole}` : whole === 0 ? 'half a' : `${whole}½`;
  return `about ${words} ${halves <= 1 ? 'value' : 'values'}`;
}

const list = (names: readonly string[]): string =>
  names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)!}`;

/** What a look at the values says. @param names of passages by id */
export function tellValues(
  looked: Looked,
  pairs: readonly Pair[],
  names: ReadonlyMap<string, string>,
): LookTold {
  const nameOf = (id: string) => names.get(id) ?? id;
  const { level } = looked.trust;
  const residual = new Map(looked.key?.residuals.map((r) => [r.id, r.L]));
  // Two passages have no key to depart from: what can be told is their difference.
  const keyed = pairs.filter((p) => wantedL(p) !== null).length >= 3;
  const passages = looked.values.map((v): PassageTold => {
    const pair = pairs.find((p) => p.id === v.id);
    const r = residual.get(v.id);
    const base = {
      id: v.id,
      name: nameOf(v.id),
      designL: pair?.designL ?? null,
      workL: v.L,
      sigmaL: v.sigmaL,
      byL: null,
      meantL: null,
    };
    if (pair?.departure === 'free') return { ...base, words: 'left free' };
    if (!pair || r === undefined || level === 'order' || !keyed)
      return { ...base, words: level === 'order' ? 'order only' : '' };
    if (Math.abs(r) <= Math.max(LOOKING.relationL, 2 * relationSigma(looked.trust, v.L, v.areaCm2)))
      return { ...base, words: pair.departure ? 'as you meant it' : 'true' };
    return {
      ...base,
      words: `${valuesWords(r, level)} too ${r > 0 ? 'light' : 'dark'}`,
      byL: r,
      meantL: r / (looked.key?.slope ?? 1),
    };
  });
  const off = passages
    .filter((p) => p.byL !== null)
    .sort((p, q) => Math.abs(q.byL!) - Math.abs(p.byL!));
  const lines: string[] = [];
  const turned = looked.order?.turned ?? [];
  for (const t of turned.slice(0, 4))
    lines.push(
      level === 'order'
        ? `${capital(nameOf(t.lighter))} should be lighter than ${nameOf(t.darker)}; it is darker.`
        : `${capital(nameOf(t.lighter))} should be lighter than ${nameOf(t.darker)}; it is ${valuesWords(t.byL, level)} darker.`,
    );
  const close = looked.order?.tooClose.length ?? 0;
  if (close > 0)
    lines.push(
      `${close === 1 ? 'One pair is' : `${close} pairs are`} too close to tell on this photo.`,
    );
  if (level !== 'order' && looked.key && keyed) {
    const { slope, intercept, mayBeExposure } = looked.key;
    const middle = intercept + slope * 50 - 50;
    if (Math.abs(middle) > LOOKING.relationL)
      lines.push(
        `The whole is keyed ${valuesWords(middle, level)} ${middle > 0 ? 'lighter' : 'darker'}${mayBeExposure ? '; this may be the exposure of the photo' : ''}.`,
      );
  }
  for (const v of looked.values) {
    if (v.glareShare > LOOKING.glareTold)
      lines.push(`Shine on ${nameOf(v.id)}: turn it from the lamp, or shade it.`);
    if (v.mixed)
      lines.push(`${capital(nameOf(v.id))} holds two tones: divide it, and each can be told.`);
  }
  const verdict = ((): string => {
    if (pairs.length === 1)
      return 'Outline a second passage: then it can be told whether the relations hold.';
    if (pairs.length === 0)
      return 'Give it a design, and outline two passages: then it can be told whether the relations hold.';
    if (off.length > 0) {
      const [first] = off;
      const runs = turned.find((t) => t.lighter === first!.id || t.darker === first!.id);
      const against = runs ? (runs.lighter === first!.id ? runs.darker : runs.lighter) : null;
      return `${capital(first!.name)} is ${first!.words}${against ? ` and stands the wrong way to ${nameOf(against)}` : ''}.`;
    }
    if (turned.length > 0) {
      const [t] = turned;
      return `${capital(nameOf(t!.darker))} stands before ${nameOf(t!.lighter)}: it should be the darker.`;
    }
    return level === 'order'
      ? 'Every pair stands in the order of the design.'
      : 'The relations hold.';
  })();
  return { verdict, passages, lines };
}

/** With a capital, as a sentence begins. */
export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/**
 * How much of the range is spent at the light end; null where the photo tells no values.
 * @param toCome coats that are still to be laid
 */
export function tellRange(
  looked: Looked,
  names: ReadonlyMap<string, string>,
  toCome: readonly string[] = [],
): string | null {
  const owners = list(looked.range.lightest.slice(0, 2).map((o) => names.get(o.id) ?? o.id));
  if (looked.trust.level === 'order')
    return owners ? `The lightest lights are in ${owners}.` : null;
  // Titanium white in oil, dry: the light end of what paint can do.
  const left = LOOKING.whitePaintL - looked.range.p995;
  return left < LOOKING.reserveL
    ? `The lights are spent${toCome.length > 0 ? ` before ${list(toCome.slice(0, 2))} ${toCome.length > 1 ? 'are' : 'is'} laid` : ''}: nothing is left above ${owners || 'the lightest passage'}.`
    : `Left for the last lights${owners ? `, above ${owners}` : ''}: ${valuesWords(left, looked.trust.level)}.`;
}

/** How passages that grade run. @param design how they run in the design, where there is one */
export function tellGraded(
  looked: Looked,
  design: Looked['graded'],
  names: ReadonlyMap<string, string>,
): string[] {
  return looked.graded.map((g) => {
    const name = capital(names.get(g.id) ?? g.id);
    const meant = design.find((d) => d.id === g.id);
    const ends = [g.smooth[0]!, g.smooth.at(-1)!];
    const run =
      looked.trust.level === 'order'
        ? ''
        : ` over ${valuesWords(ends[1]! - ends[0]!, looked.trust.level)}`;
    if (g.reversalL > LOOKING.gradeTurnL + (meant?.reversalL ?? 0))
      return `${name} turns back about ${shareWords(g.reversalAt)} of the way to its light end.`;
    if (g.banded && !meant?.banded) return `${name} has a step in it: it does not run evenly.`;
    return `${name} runs one way${run}.`;
  });
}

const SHARES = [
  [0.125, 'an eighth'],
  [0.25, 'a quarter'],
  [0.333, 'a third'],
  [0.5, 'half'],
  [0.667, 'two thirds'],
  [0.75, 'three quarters'],
  [0.9, 'nine tenths'],
] as const;
/** A share in words. */
export const shareWords = (share: number): string =>
  SHARES.reduce((best, s) => (Math.abs(s[0] - share) < Math.abs(best[0] - share) ? s : best))[1];

/** Borders that are not as they are meant; beyond a quartile of their width. */
export function tellEdges(
  edges: readonly EdgeFound[],
  looking: Looking,
  names: ReadonlyMap<string, string>,
  viewM = LOOKING.viewM,
): { edge: EdgeFound; words: string; departs: boolean }[] {
  const nameOf = (id: string) => names.get(id) ?? id;
  return edges.map((edge) => {
    const meant = borderOf(looking, edge.a, edge.b);
    const width =
      edge.kind === 'lost' && edge.lostShare > 0.5
        ? 'lost by value'
        : `${edge.kind}, ${edge.atMost ? 'at most ' : ''}${edge.widthMm.toFixed(1)} mm`;
    const within = [kindOf(edge.quartilesMm[0], viewM), kindOf(edge.quartilesMm[1], viewM)];
    const departs =
      meant !== null && meant !== edge.kind && !(edge.lostShare <= 0.5 && within.includes(meant));
    const harder = meant !== null && EDGE_KINDS.indexOf(edge.kind) < EDGE_KINDS.indexOf(meant);
    return {
      edge,
      departs,
      words: `${nameOf(edge.a)} against ${nameOf(edge.b)}: ${width}${departs ? `; meant ${meant}, it is ${harder ? 'too hard' : 'too soft'}` : ''}`,
    };
  });
}

/** What drifted, in mm with the error; nothing inside it. */
export function tellDrift(looked: Looked, names: ReadonlyMap<string, string>): string[] {
  const { drift } = looked;
  if (!drift) return [];
  const lines: string[] = [];
  const [dx, dy] = drift.offsetMm;
  const far = Math.hypot(dx, dy);
  const sigma = looked.geometry.sigmaMm;
  if (drift.points.length >= 4 && far > 2 * sigma)
    lines.push(
      `The whole drawing is ${far.toFixed(0)} mm ${where(dx, dy)}${Math.abs(drift.scale - 1) > 0.005 ? ` and ${(Math.abs(drift.scale - 1) * 100).toFixed(1)} % ${drift.scale > 1 ? 'large' : 'small'}` : ''}.`,
    );
  for (const p of drift.points) {
    const by = driftedBy(drift, p);
    if (by)
      lines.push(
        `${capital(names.get(p.id) ?? p.id)}: ${Math.hypot(...by).toFixed(0)} mm (±${(LOOKING.sure * p.sigmaMm).toFixed(1)}) too far ${where(by[0], by[1])}.`,
      );
  }
  return lines;
}

function where(dx: number, dy: number): string {
  const side = dx > 0 ? 'right' : 'left';
  const level = dy > 0 ? 'low' : 'high';
  if (Math.abs(dx) > 2 * Math.abs(dy)) return side;
  if (Math.abs(dy) > 2 * Math.abs(dx)) return level;
  return `${side} and ${level}`;
}
