import { binderExcess } from './binder-excess';
import { addedOil } from './added-oil';
import { constantAlkyd } from './constant-alkyd';
import { slowOverFast } from './slow-over-fast';
import { thickOverThin } from './thick-over-thin';
import { totalOil } from './total-oil';
import type { School, SchoolKey } from './types';

export const SCHOOLS: Record<SchoolKey, School> = {
  'added-oil': addedOil,
  'total-oil': totalOil,
  'binder-excess': binderExcess,
  'slow-over-fast': slowOverFast,
  'constant-alkyd': constantAlkyd,
  'thick-over-thin': thickOverThin,
};
