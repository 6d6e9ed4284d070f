import type { ReactNode } from 'react';
import { View, type StyleProp, type ViewStyle } from 'react-native';
import { Text } from './Text';

/** What comes here later is read out: the place for it must stand before anything is said in it. */
export function Says({ children, style }: { children: ReactNode; style?: StyleProp<ViewStyle> }) {
  return (
    <View accessibilityLiveRegion="polite" style={style}>
      {children}
    </View>
  );
}

/** What is wrong, below the thing it is wrong with; nothing while nothing is. */
export const Problem = ({ says }: { says: string | null | undefined }) => (
  <Says>
    {says ? (
      <Text size="small" strong tone="brick">
        {says}
      </Text>
    ) : null}
  </Says>
);
