import { z } from 'zod';
import { ruleOf } from '../rules/records';
import { SEVERITIES } from '../rules/severity';
import { RULE_KEYS } from '../rules/records';
import { assessPainting } from '../painting';
import { findingMend, findingSentence } from '../rules/wording';
import type { DefineVerb } from './define';
import { iso } from './iso';
import { optionsOf, paintingOf, stackInputSchema } from './painting-input';

/** compatibility: what the rules say of every film of a stack, support and ground included. */
export const compatibilityVerb = (define: DefineVerb) =>
  define({
    name: 'compatibility',
    summary: 'a stack with its support and ground -> what every rule says of every film',
    input: stackInputSchema,
    output: z.object({
      films: z.array(
        z.object({
          film: z.string(),
          findings: z.array(
            z.object({
              rule: z.enum(RULE_KEYS),
              severity: z.enum(SEVERITIES),
              sentence: z.string(),
              mend: z.string(),
              waitUntil: z.iso.datetime().nullable(),
              source: z.string(),
            }),
          ),
        }),
      ),
    }),
    run: (input) => {
      const { base } = assessPainting(paintingOf(input), optionsOf(input)).passages[0]!;
      return {
        films: base.layers.map((layer) => ({
          film: layer.film.name,
          findings: layer.findings.map((finding) => ({
            rule: finding.rule,
            severity: finding.severity,
            sentence: findingSentence(finding),
            mend: findingMend(finding),
            waitUntil: iso(finding.untilMs),
            source: ruleOf(finding.rule).source,
          })),
        })),
      };
    },
  });
