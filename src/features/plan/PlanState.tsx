import { View } from 'react-native';
import { useStoreDispatch, useStoreSelector } from '@/store/hooks';
import { planningStopped } from '@/store/planned';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { Progress } from '@/ui/Progress';
import { Text } from '@/ui/Text';
import { space } from '@/ui/tokens';

/** How far the plan is: thinking, settled, or failed with its reason. */
export function PlanState() {
  const dispatch = useStoreDispatch();
  const { progress, problem, plan, settled } = useStoreSelector((state) => state.planned);
  if (problem) return <Notice tone="refusal">{`The plan could not be made. ${problem}`}</Notice>;
  if (progress === null)
    return (
      <Text size="small" tone="ink2" accessibilityLiveRegion="polite">
        {plan && settled ? 'This plan stands.' : plan ? 'Stopped: a first plan.' : ''}
      </Text>
    );
  return (
    <View style={{ flexDirection: 'row', alignItems: 'center', gap: space.m, minHeight: 20 }}>
      <Progress name="Planning" done={progress} />
      <Text size="small" tone="ink2">
        {plan ? 'Planning …' : 'A first plan …'}
      </Text>
      {plan && progress > 0 ? (
        <Action title="Stop" kind="quiet" onPress={() => dispatch(planningStopped())} />
      ) : null}
    </View>
  );
}
