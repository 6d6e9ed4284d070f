import type { z } from 'zod';
import { CoreError } from '../errors';
import type { Photo } from '../looking/photo';
import type { Fonts } from '../record/faces';
import { airVerb } from './air';
import { climateVerb } from './climate';
import { colourVerb } from './colour';
import { compatibilityVerb } from './compatibility';
import { costsVerb } from './costs';
import { dryVerb } from './dry';
import { filmVerb } from './film';
import { glazeVerb } from './glaze';
import { learnVerb } from './learn';
import { lookVerb } from './look';
import { mayGoOnVerb } from './may-go-on';
import { mediumVerb } from './medium';
import { oddsVerb, planVerb } from './plan';
import { quantityVerb } from './quantity';
import { recordVerb } from './record';
import { repairVerb } from './repair';
import { stringVerb } from './string';
import { swatchVerb } from './swatch';
import { todayVerb } from './today';
import { transferVerb } from './transfer';
import { unknownKey } from './unknown-keys';
import { varnishVerb } from './varnish';
import { verdictsVerb } from './verdicts';

/** A verb of the command line: plain data in, plain data out, both with a schema. */
export interface Verb {
  name: string;
  summary: string;
  input: z.ZodType;
  output: z.ZodType;
  run(input: unknown, around?: Around): unknown;
}

/** What a verb may be given besides its input: a clock, for those that can be limited in time; pictures. */
export interface Around {
  nowMs(): number;
  /** A photo that the input names by its path; read before the verb runs. Null where there is none. */
  photo?(path: string): Photo | null;
  /** Where a verb puts a picture that was asked for. */
  picture?(path: string, made: { width: number; height: number; grey: Uint8Array }): void;
  /** Where a verb puts a page; it is given the faces that are embedded. */
  file?(path: string, made: (fonts: Fonts) => Promise<Uint8Array>): void;
}

/** Ties a handler to its schemas, so that nothing unchecked goes in or out. */
export function defineVerb<I, O>(verb: {
  name: string;
  summary: string;
  input: z.ZodType<I>;
  output: z.ZodType<O>;
  run(input: I, around?: Around): O;
}): Verb {
  return {
    ...verb,
    run: (input, around) => {
      const read = verb.input.parse(input);
      const strange = unknownKey(verb.input, input);
      if (strange)
        throw new CoreError(
          'unknown-key',
          strange.where,
          `Nothing here is called so. Correct the name or leave it out. Known: ${strange.known.join(', ')}.`,
        );
      const made = verb.output.safeParse(verb.run(read, around));
      if (made.success) return made.data;
      const [issue] = made.error.issues;
      // A fault of ours is never told as one of the input.
      throw new Error(
        `${verb.name} worked out something that it may not give (${issue!.path.join('.')}: ${issue!.message}). This is a fault of the program.`,
      );
    },
  };
}

export const VERBS: Record<string, Verb> = Object.fromEntries(
  [
    filmVerb,
    verdictsVerb,
    dryVerb,
    repairVerb,
    compatibilityVerb,
    mayGoOnVerb,
    mediumVerb,
    quantityVerb,
    transferVerb,
    climateVerb,
    learnVerb,
    todayVerb,
    planVerb,
    oddsVerb,
    colourVerb,
    glazeVerb,
    stringVerb,
    swatchVerb,
    lookVerb,
    varnishVerb,
    recordVerb,
    costsVerb,
    airVerb,
  ].map((make) => {
    const verb = make(defineVerb);
    return [verb.name, verb];
  }),
);
