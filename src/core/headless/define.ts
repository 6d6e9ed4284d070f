import type { defineVerb } from './verbs';

export type DefineVerb = typeof defineVerb;
