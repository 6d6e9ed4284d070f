import { useLayoutEffect, type ReactNode } from 'react';
import { ScrollView, useWindowDimensions, View } from 'react-native';
import { focusHeading } from './heading';
import Dialog from '@rneui/themed/dist/Dialog';

interface Props {
  /** Read out when it opens. */
  name: string;
  onClose: () => void;
  children: ReactNode;
}

const TALLEST_SHARE = 0.8;

/** After a dialog the focus goes back to what opened it; where that is gone, to the heading of the screen. */
function useFocusBack(): void {
  useLayoutEffect(() => {
    const opener = document.activeElement;
    return () => {
      // The dialog holds the focus until it is gone.
      setTimeout(() => {
        if (document.querySelector('[role="dialog"]')) return;
        if (opener instanceof HTMLElement && opener !== document.body && opener.isConnected)
          opener.focus({ preventScroll: true });
        else focusHeading();
      });
    };
  }, []);
}

/**
 * The library brackets a dialog with stops that have no name, and makes one of what lies around it, which a tap closes
 * it by; the focus is held inside without them, and keys have Escape. Called when the dialog has come.
 */
function takeUnnamedStops(inside: View | null): void {
  const layer = (inside as unknown as Element | null)?.closest('body > *');
  layer
    ?.querySelectorAll<HTMLElement>('[role="none"][tabindex="0"]')
    .forEach((stop) => (stop.tabIndex = -1));
  layer?.querySelector('[data-testid="RNE__Overlay__backdrop"]')?.removeAttribute('tabindex');
}

/** Something to answer before going on; it scrolls where it is taller than the screen. */
export function Sheet({ name, onClose, children }: Props) {
  const { height } = useWindowDimensions();
  useFocusBack();
  return (
    <Dialog isVisible onBackdropPress={onClose} aria-label={name} pressableProps={{ tabIndex: -1 }}>
      <ScrollView style={{ maxHeight: height * TALLEST_SHARE }} keyboardShouldPersistTaps="handled">
        <View ref={takeUnnamedStops}>{children}</View>
      </ScrollView>
    </Dialog>
  );
}
