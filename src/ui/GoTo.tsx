import type { ReactNode } from 'react';
import {
  Pressable,
  type GestureResponderEvent,
  type StyleProp,
  type ViewStyle,
} from 'react-native';

interface Props {
  /** Where it leads: a real address, so that keys, other tabs and readers treat it as the link it is. */
  href: string;
  /** Go there inside the app. */
  onGo: () => void;
  label?: string;
  style?: StyleProp<ViewStyle>;
  children: ReactNode;
}

/** A click that asks for another tab or window is the browser's. */
const elsewhere = (event: GestureResponderEvent): boolean => {
  const click = event.nativeEvent as unknown as Partial<MouseEvent>;
  return Boolean(click.ctrlKey || click.metaKey || click.shiftKey || click.button);
};

/** A link drawn as anything. */
export function GoTo({ href, onGo, label, style, children }: Props) {
  const press = (event: GestureResponderEvent) => {
    if (elsewhere(event)) return;
    event.preventDefault();
    onGo();
  };
  return (
    <Pressable
      // React Native for web draws a view with an address as an anchor; the native types do not know it.
      {...({ href } as object)}
      accessibilityRole="link"
      {...(label ? { 'aria-label': label } : {})}
      onPress={press}
      style={style}
    >
      {children}
    </Pressable>
  );
}
