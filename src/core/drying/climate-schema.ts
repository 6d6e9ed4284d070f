import { z } from 'zod';
import { AIR_KEYS, LIGHT_KEYS } from '@/data/climate';

/** A constant climate: what the thermometer and the hygrometer say, the light, the air. */
export const climateSchema = z.object({
  temperatureC: z
    .number({ error: 'Temperature must be a number of °C.' })
    .min(-10, { error: 'Temperature must be between -10 and 45 °C.' })
    .max(45, { error: 'Temperature must be between -10 and 45 °C.' }),
  relativeHumidityPct: z
    .number({ error: 'Humidity must be a number of %.' })
    .min(0, { error: 'Humidity must be between 0 and 100 %.' })
    .max(100, { error: 'Humidity must be between 0 and 100 %.' }),
  light: z.enum(LIGHT_KEYS, { error: 'Choose the light from the list.' }),
  air: z.enum(AIR_KEYS, { error: 'Choose the air from the list.' }),
});

export type Climate = z.infer<typeof climateSchema>;
