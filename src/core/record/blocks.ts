/** What a record consists of, before it is a page, a picture or a table. */

/** A drawing in mm, y downwards: the same for SVG and for the page. */
export type Shape =
  | { kind: 'rect'; x: number; y: number; w: number; h: number; fill: string; line?: string }
  | { kind: 'line'; x1: number; y1: number; x2: number; y2: number; width: number; colour: string }
  | {
      kind: 'text';
      x: number;
      y: number;
      text: string;
      size: number;
      anchor?: 'start' | 'middle' | 'end';
      strong?: boolean;
    };

export interface Drawing {
  name: string;
  widthMm: number;
  heightMm: number;
  shapes: Shape[];
}

export type Block =
  | { kind: 'title'; text: string; below: string }
  | { kind: 'heading'; text: string }
  | { kind: 'text'; text: string }
  | { kind: 'note'; text: string }
  | { kind: 'table'; head: string[]; widths: number[]; rows: string[][] }
  | { kind: 'drawing'; drawing: Drawing }
  | { kind: 'photo'; id: string; caption: string };
