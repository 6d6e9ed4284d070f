import { REFERENCE_CLIMATE } from '../drying';
import { STUDIO_SCHEMA_VERSION } from '../editions';
import type { Studio } from './studio-schema';

export const NEW_STUDIO: Studio = {
  schemaVersion: STUDIO_SCHEMA_VERSION,
  revision: 0,
  units: 'cm',
  climate: REFERENCE_CLIMATE,
  dayNight: null,
  followReadings: true,
  loggerOn: false,
  forgotten: [],
  latitudeDeg: 50,
  paintingOrder: [],
};
