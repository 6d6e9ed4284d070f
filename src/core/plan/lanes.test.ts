import { constantAir, REFERENCE_CLIMATE } from '../drying';
import { STUDIO_HANDBOOK } from '../handbook';
import { assessPainting } from '../painting/assess';
import { OCHRE, optionsAt, part, recipe, stackOf, WHITE } from '../testing/painting';
import { laneOf } from './lanes';
import { stepsOf, USUAL_PACE } from './steps';

const NOW = Date.UTC(2026, 1, 17, 9);
const DAY = 86_400_000;
const { constants } = STUDIO_HANDBOOK;
const air = constantAir(constants, REFERENCE_CLIMATE);

const painting = {
  ...stackOf(
    [OCHRE, WHITE].map((paint) => recipe(paint, 0.1, [part('stand-oil')], 40)),
    [{ role: 'tone' }, { role: 'glaze' }],
  ),
  touches: [],
};
