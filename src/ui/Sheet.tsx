import type { ReactNode } from 'react';
import { ScrollView, useWindowDimensions } from 'react-native';
import Dialog from '@rneui/themed/dist/Dialog';

interface Props {
  /** Read out when it opens. */
  name: string;
  onClose: () => void;
  children: ReactNode;
}

const TALLEST_SHARE = 0.8;

/** Something to answer before going on; it scrolls where it is taller than the screen. */
export function Sheet({ name, onClose, children }: Props) {
  const { height } = useWindowDimensions();
  return (
    <Dialog isVisible onBackdropPress={onClose} aria-label={name}>
      <ScrollView style={{ maxHeight: height * TALLEST_SHARE }} keyboardShouldPersistTaps="handled">
        {children}
      </ScrollView>
    </Dialog>
  );
}
