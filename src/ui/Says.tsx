import type { ReactNode } from 'react';
import { View, type StyleProp, type ViewStyle } from 'react-native';

/** What comes here later is read out: the place for it must stand before anything is said in it. */
export function Says({ children, style }: { children: ReactNode; style?: StyleProp<ViewStyle> }) {
  return (
    <View accessibilityLiveRegion="polite" style={style}>
      {children}
    </View>
  );
}
