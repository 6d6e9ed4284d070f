import { View } from 'react-native';
import { STUDIO_HANDBOOK } from '@/core/handbook';
import { unlaidPassages, type Painting } from '@/core/painting';
import { lossesOf, paintNeeded } from '@/core/quantity';
import { toLayCm2 } from '@/core/session';
import { applyRepair, repairAction, type Repair } from '@/core/repair';
import { SCHOOLS } from '@/core/schools';
import { changePainting } from '@/store/actions';
import { useStoreDispatch } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Text } from '@/ui/Text';
import { duration } from '@/ui/time/words';
import { space } from '@/ui/tokens';
import type { SectionView } from './useSectionView';

/** What the repair comes to for the paint of the whole coat. */
function batchWords(painting: Painting, repair: Repair): string {
  const coat = painting.coats.find((c) => c.id === repair.coatId);
  if (!coat || repair.mlPer10MlPaint === null || coat.recipe.mix.length === 0) return '';
  const area = toLayCm2(painting, coat, unlaidPassages(painting, coat));
  if (!(area > 0)) return '';
  const { paintMl } = paintNeeded(
    STUDIO_HANDBOOK,
    coat.recipe,
    area,
    lossesOf(STUDIO_HANDBOOK, painting),
  );
  return `, ${((repair.mlPer10MlPaint * paintMl) / 10).toFixed(1)} ml for the whole coat`;
}

/** One repair: the button that carries it out, what it takes and what it costs. */
export function RepairButton({
  view,
  repair,
  primary,
}: {
  view: SectionView;
  repair: Repair;
  primary: boolean;
}) {
  const dispatch = useStoreDispatch();
  const { painting } = view;
  const school = painting.school;
  const apply = () =>
    dispatch(
      changePainting(
        painting.id,
        `${repairAction(repair, school)}: ${repair.changed.name}`,
        (p, making) => applyRepair(p, repair, making),
      ),
    );
  const slower = repair.touchDryDaysAfter - repair.touchDryDaysBefore;
  const cost =
    Math.abs(slower) < 0.05
      ? 'No slower to dry'
      : `Touch-dry in ${duration(repair.touchDryDaysAfter)} instead of ${duration(repair.touchDryDaysBefore)}`;
  const batch = batchWords(painting, repair);
  const schools = repair.satisfies
    .filter((key) => key !== school)
    .map((key) => SCHOOLS[key].name.toLowerCase());
  return (
    <View style={{ gap: space.xs }}>
      <Action
        title={repairAction(repair, school)}
        kind={primary ? 'primary' : 'plain'}
        onPress={apply}
      />
      <Text size="small" tone="ink2">
        {repair.mlPer10MlPaint
          ? `${repair.mlPer10MlPaint.toFixed(1)} ml to 10 ml of paint${batch}. `
          : ''}
        {cost}
        {schools.length > 0 ? `. It then also passes ${schools.join(', ')}.` : '.'}
      </Text>
    </View>
  );
}

/** Keeps the place of the cure while it is worked out, so that nothing slides under the finger when it comes. */
export function RepairPlace() {
  return (
    <View style={{ gap: space.xs }}>
      <Action title="Working out the cure" kind="primary" disabled onPress={() => undefined} />
      <Text size="small" tone="ink2">
        {
          'What it takes, what it costs in drying time, and which schools it satisfies come here.\n '
        }
      </Text>
    </View>
  );
}
