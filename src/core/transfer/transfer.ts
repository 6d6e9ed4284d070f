import { CoreError } from '../errors';

/** Sides in any one unit of length; results are in the same. */
export interface Size {
  width: number;
  height: number;
}

export type Fit = 'crop' | 'margins';

export interface Transfer {
  /** Lengths on the support over lengths of the design. */
  scale: number;
  /** The part of the design that is used, from its upper left corner. */
  used: Size & { x: number; y: number };
  /** Where it comes to lie on the support. */
  placed: Size & { x: number; y: number };
  /** The proportions are the same: nothing is cropped, nothing left over. */
  exact: boolean;
}

const CLOSE = 1e-9;

function requireSize({ width, height }: Size, where: string): void {
  if (!(width > 0 && height > 0 && Number.isFinite(width) && Number.isFinite(height)))
    throw new CoreError('size-range', where, 'Both sides must be above 0.');
}

/**
 * A design on a support of other proportions: either all of the support is covered and the design is cropped,
 * or all of the design is shown and margins stay. Both are centred. Throws `size-range`.
 * @example fitDesign({width: 20, height: 30}, {width: 60, height: 80}, 'crop') // scale 3, 1.67 off top and bottom
 */
export function fitDesign(design: Size, support: Size, fit: Fit): Transfer {
  requireSize(design, 'design');
  requireSize(support, 'support');
  const sx = support.width / design.width;
  const sy = support.height / design.height;
  const scale = fit === 'crop' ? Math.max(sx, sy) : Math.min(sx, sy);
  const width = Math.min(design.width, support.width / scale);
  const height = Math.min(design.height, support.height / scale);
  const placedWidth = width * scale;
  const placedHeight = height * scale;
  return {
    scale,
    used: { x: (design.width - width) / 2, y: (design.height - height) / 2, width, height },
    placed: {
      x: (support.width - placedWidth) / 2,
      y: (support.height - placedHeight) / 2,
      width: placedWidth,
      height: placedHeight,
    },
    exact: Math.abs(sx - sy) <= CLOSE * Math.max(sx, sy),
  };
}

/** A line of the grid: how far from the corner on the design, and on the support. */
export interface GridLine {
  design: number;
  support: number;
}

export interface Grid {
  columns: number;
  rows: number;
  /** Side of a cell. */
  cell: GridLine;
  vertical: GridLine[];
  horizontal: GridLine[];
}

/** Where line `i` lies, from the edges of design and support. */
const lineAt = (
  i: number,
  cell: number,
  used: number,
  placed: number,
  scale: number,
): GridLine => ({
  design: used + i * cell,
  support: placed + i * cell * scale,
});

/**
 * Square cells over the used part of the design, `cells` of them along its longer side; the last row or column
 * may be cut. Throws `size-range`.
 */
export function gridOf(transfer: Transfer, cells: number): Grid {
  if (!Number.isInteger(cells) || cells < 1 || cells > 100)
    throw new CoreError('size-range', 'cells', 'The grid has between 1 and 100 cells, whole ones.');
  const { used, placed, scale } = transfer;
  const cell = Math.max(used.width, used.height) / cells;
  const count = (side: number) => Math.max(1, Math.ceil(side / cell - CLOSE));
  const lines = (side: number, from: number, to: number) =>
    Array.from({ length: count(side) + 1 }, (_, i) =>
      lineAt(Math.min(i, side / cell), cell, from, to, scale),
    );
  return {
    columns: count(used.width),
    rows: count(used.height),
    cell: { design: cell, support: cell * scale },
    vertical: lines(used.width, used.x, placed.x),
    horizontal: lines(used.height, used.y, placed.y),
  };
}

/**
 * How far a projector stands: throw ratio is distance over width of the picture it throws. The whole design is
 * thrown, cropped parts too.
 * @example projectorDistance(1.5, 90) // 135
 */
export function projectorDistance(throwRatio: number, thrownWidth: number): number {
  if (!(throwRatio > 0 && throwRatio < 20))
    throw new CoreError('size-range', 'throwRatio', 'The throw ratio must lie between 0 and 20.');
  return throwRatio * thrownWidth;
}

/** Width of the picture a projector throws, so that the design comes out at its scale. */
export const thrownWidth = (design: Size, scale: number): number => design.width * scale;
