import { z } from 'zod';
import { assessPainting, nextPlanned } from '../painting';
import { RULE_KEYS } from '../rules/records';
import { GOINGS, mayGoOn } from '../tell/going';
import { todayRow } from '../today';
import type { DefineVerb } from './define';
import { iso } from './iso';
import { coatId, optionsOf, paintingOf, stackInputSchema } from './painting-input';

/** may-go-on: of every coat of a stack, whether it may go on; of the next one whether it may now. */
export const mayGoOnVerb = (define: DefineVerb) =>
  define({
    name: 'may-go-on',
    summary:
      'a stack of coats, lowest first -> of every coat whether it may go on, and if not, from when',
    input: stackInputSchema,
    output: z.object({
      coats: z.array(
        z.object({
          coat: z.string(),
          film: z.string().describe('the film it is, or becomes part of'),
          answer: z.enum(GOINGS),
          rule: z.enum(RULE_KEYS).nullable(),
          school: z.boolean().describe('the school gives the answer'),
          until: z.iso.datetime().nullable().describe('waiting until then mends it'),
        }),
      ),
    }),
    run: (input) => {
      const painting = paintingOf(input);
      const options = optionsOf(input);
      const assessment = assessPainting(painting, options);
      const [{ passage, base }] = assessment.passages as [(typeof assessment.passages)[number]];
      const next = nextPlanned(base);
      const row = todayRow(assessment, passage, base, options.nowMs);
      return {
        coats: input.coats.flatMap((coat, i) => {
          const layer = base.layers.find((l) => l.film.coatIds.includes(coatId(i)));
          if (!layer) return [];
          const told = mayGoOn(layer, painting.school, layer === next ? row : null);
          return [
            {
              coat: coat.name,
              film: layer.film.name,
              answer: told.answer,
              rule: told.rule,
              school: told.school,
              until: iso(told.untilMs),
            },
          ];
        }),
      };
    },
  });
