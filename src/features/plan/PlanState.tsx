import { View } from 'react-native';
import { useStoreDispatch, useStoreSelector } from '@/store/hooks';
import { planningStopped } from '@/store/planned';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { Text } from '@/ui/Text';
import { colour, space } from '@/ui/tokens';

/** How far the plan is: thinking, settled, or failed with its reason. */
export function PlanState() {
  const dispatch = useStoreDispatch();
  const { progress, problem, plan, settled } = useStoreSelector((state) => state.planned);
  if (problem) return <Notice tone="refusal">{`The plan could not be made. ${problem}`}</Notice>;
  if (progress === null)
    return (
      <Text size="small" tone="ink2" accessibilityLiveRegion="polite">
        {plan && settled ? 'Settled.' : plan ? 'Stopped: a first plan.' : ''}
      </Text>
    );
  const done = Math.round(progress * 100);
  return (
    <View style={{ flexDirection: 'row', alignItems: 'center', gap: space.m, minHeight: 20 }}>
      <View
        role="progressbar"
        aria-label="Planning"
        aria-valuenow={done}
        aria-valuemin={0}
        aria-valuemax={100}
        style={{ flex: 1, height: 4, backgroundColor: colour.well }}
      >
        <View style={{ width: `${done}%`, height: 4, backgroundColor: colour.tawny }} />
      </View>
      <Text size="small" tone="ink2">
        {plan ? 'Planning …' : 'A first plan …'}
      </Text>
      {plan && progress > 0 ? (
        <Action title="Stop" kind="quiet" onPress={() => dispatch(planningStopped())} />
      ) : null}
    </View>
  );
}
