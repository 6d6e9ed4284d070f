import {
  liftsAt,
  openAt,
  topLaid,
  wipesOff,
  type AssessOptions,
  type Layer,
  type PaintingAssessment,
  type SiteStack,
} from '../painting/layer';
import { asItWas, optionsAt, stackAt, topAt } from '../painting/hour';
import { likeCoat } from '../painting/improvise';
import type { Coat, Painting, Spot } from '../painting/schema';
import { assessPainting } from '../painting/assess';
import { holdsVarnish, stops, type Finding } from '../rules';
import { gravestByRule } from './findings';

/** A laying that is asked about: this paint, there, then. */
export interface AskedLaying {
  coat: Coat;
  passageIds: string[];
  /** The part or spot of each; null: all of it, or all the rest. */
  spot: Spot | null;
  atMs: number;
}

/** What is to be said of a laying before it is entered. */
export interface ToldLaying {
  /** What lay on top there at that hour. */
  tops: Map<string, Layer | null>;
  /** Where the film below was open, and where it had not set yet, by the forecast. */
  open: string[];
  unset: string[];
  /** A film that a stroke would lift; null where none would be. */
  lifts: Layer | null;
  /** Spots of the passages that a stroke would lift where it goes over all of them. */
  around: Layer[];
  /** What the rules say, gravest first; what is only to know stays in the section. */
  findings: Finding[];
  /** A rule refuses it and nobody has given a reason. */
  refused: boolean;
}

/** What is asked about is told as a coat of its own on top, laid in part or again as it may be. */
const ASKED = 'asked';

/**
 * Whether some paint may go on somewhere at an hour: by what lay there then, whatever was entered later or is planned
 * before it. Every sheet that enters paint asks here: laying, more of it, on another passage, a dab, oiling out, the
 * work of a session.
 */
export function toldLaying(
  painting: Painting,
  { coat, passageIds, spot, atMs }: AskedLaying,
  options: AssessOptions,
): ToldLaying {
  const probe = likeCoat(coat, ASKED, {
    passageIds,
    spot,
    ...(coat.overruled ? { overruled: coat.overruled } : {}),
  });
  const was = asItWas(painting, atMs);
  const told: PaintingAssessment = assessPainting(
    { ...was, coats: [...was.coats, probe] },
    optionsAt(options, atMs),
  );
  const place = spot?.name ?? null;
  const tops = new Map(passageIds.map((id) => [id, topAt(told, id, place)]));
  const where = (holds: (top: Layer) => boolean): string[] =>
    passageIds.filter((id) => {
      const top = tops.get(id);
      return top ? holds(top) : false;
    });
  const saidOn = (stack: SiteStack | null): Finding[] =>
    stack?.layers.find((l) => l.film.coatIds.includes(ASKED))?.findings ?? [];
  const spotsOf = (id: string): SiteStack[] =>
    place === null ? (told.passages.find((p) => p.passage.id === id)?.spots ?? []) : [];
  const around = passageIds
    .flatMap((id) =>
      spotsOf(id).flatMap((stack) => {
        const top = topLaid(stack);
        return top && top.film.key !== tops.get(id)?.film.key && liftsAt(top, atMs) ? [top] : [];
      }),
    )
    // One dab on two passages is told once.
    .filter((top, i, all) => all.findIndex((other) => other.film.key === top.film.key) === i);
  const findings = gravestByRule(
    passageIds.flatMap((id): Finding[] => [
      ...saidOn(stackAt(told, id, place)),
      // Paint goes round a spot that is not ready; a varnish is held back by it.
      ...spotsOf(id).flatMap(saidOn).filter(holdsVarnish),
    ]),
  ).filter((finding) => finding.severity !== 'note');
  const [lifted] = where((top) => liftsAt(top, atMs));
  return {
    tops,
    open: where((top) => openAt(top, atMs)),
    unset: where((top) => top.film.asLaid.material === null && wipesOff(top)),
    lifts: lifted === undefined ? null : tops.get(lifted)!,
    around,
    findings,
    refused: findings.some(stops),
  };
}
