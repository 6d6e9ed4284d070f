import { z } from 'zod';
import { fitDesign, gridOf, projectorDistance, thrownWidth } from '../transfer';
import type { DefineVerb } from './define';

const side = z.number().positive({ error: 'A side must be above 0.' });
const size = z.object({ width: side, height: side });
const figure = z.number();
const box = z.object({ x: figure, y: figure, width: figure, height: figure });
const gridLine = z.object({ design: figure, support: figure });

/** transfer: a design onto a support, with its grid and the stand of a projector. */
export const transferVerb = (define: DefineVerb) =>
  define({
    name: 'transfer',
    summary: 'a design and a support -> scale, crop or margins, grid lines, projector distance',
    input: z.object({
      design: size,
      support: size.describe('in the same unit of length'),
      fit: z.enum(['crop', 'margins']).default('crop'),
      cells: z.number().int().min(1).max(100).default(8).describe('along the longer side'),
      throwRatio: z.number().gt(0).lt(20).nullable().default(null),
    }),
    output: z.object({
      scale: figure,
      exact: z.boolean(),
      used: box,
      placed: box,
      grid: z.object({
        columns: figure,
        rows: figure,
        cell: gridLine,
        vertical: z.array(gridLine),
        horizontal: z.array(gridLine),
      }),
      projectorDistance: figure.nullable(),
    }),
    run: ({ design, support, fit, cells, throwRatio }) => {
      const transfer = fitDesign(design, support, fit);
      return {
        ...transfer,
        grid: gridOf(transfer, cells),
        projectorDistance:
          throwRatio === null
            ? null
            : projectorDistance(throwRatio, thrownWidth(design, transfer.scale)),
      };
    },
  });
