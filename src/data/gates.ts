import type { CoatTemplate } from './methods';

/**
 * Questions painters ask before a stage closes. Common practice, no source: a shadow that was not mapped in the
 * block-in, or a value range used up too early, costs days later.
 */
export interface Gate {
  id: string;
  role: CoatTemplate['role'];
  question: string;
}

export const GATES: Gate[] = [
  { id: 'tone-even', role: 'tone', question: 'Ground toned evenly, no dry streaks?' },
  {
    id: 'under-drawing',
    role: 'underpainting',
    question: 'Drawing checked in a mirror or from afar?',
  },
  { id: 'under-range', role: 'underpainting', question: 'Darkest dark and lightest light set?' },
  {
    id: 'under-order',
    role: 'underpainting',
    question: 'Order of the values agreed with the study?',
  },
  { id: 'block-covered', role: 'block-in', question: 'Whole surface covered?' },
  { id: 'block-shadows', role: 'block-in', question: 'Cast shadows mapped?' },
  {
    id: 'over-temperature',
    role: 'overpainting',
    question: 'Subject and background of one light?',
  },
  { id: 'over-halftones', role: 'overpainting', question: 'Dark half-tones there?' },
  {
    id: 'over-range',
    role: 'overpainting',
    question: 'Range held back for the last lights?',
  },
  {
    id: 'over-whole',
    role: 'overpainting',
    question: 'The whole judged together, not one passage?',
  },
  { id: 'detail-form', role: 'detail', question: 'Form and value hold without the detail?' },
  { id: 'glaze-test', role: 'glaze', question: 'Glaze tried where it shows least?' },
];
