import type { ReactNode } from 'react';
import { ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import { colour, space, WIDE_FROM } from './tokens';

/** Whether two things stand side by side. */
export const useWide = (): boolean => useWindowDimensions().width >= WIDE_FROM;

/** Below this a foot that stays in sight would leave too little of what it belongs to (a page enlarged four times). */
const SHORT_BELOW = 480;
/** Whether what else stands at the foot goes with the content instead. */
export const useShort = (): boolean => useWindowDimensions().height < SHORT_BELOW;

interface SplitProps {
  children: ReactNode;
  /** What is said of the thing in hand, on the sheet at the right. */
  panel: ReactNode;
}

/** Wide: the thing, and the sheet with what is said of it; each scrolls by itself. */
export function Split({ children, panel }: SplitProps) {
  return (
    <View style={styles.split}>
      <View style={styles.main}>{children}</View>
      <ScrollView
        style={styles.panel}
        contentContainerStyle={{ padding: space.xxl }}
        // Scrolled with the keys too, when nothing in it can be pressed.
        {...({ tabIndex: 0 } as object)}
      >
        {panel}
      </ScrollView>
    </View>
  );
}

interface ColumnsProps {
  left: ReactNode;
  right: ReactNode;
  /** How wide the left is against the right. */
  share?: number;
}

/** Two parts of one page: side by side where it is wide, else one below the other. */
export function TwoColumns({ left, right, share = 1 }: ColumnsProps) {
  const wide = useWide();
  return (
    <View style={wide ? styles.columns : { gap: space.xl }}>
      <View style={[{ gap: space.xl }, wide && { flex: share }]}>{left}</View>
      <View style={[{ gap: space.xl }, wide && { flex: 1 }]}>{right}</View>
    </View>
  );
}

const styles = StyleSheet.create({
  split: { flex: 1, flexDirection: 'row' },
  main: { flex: 1, minWidth: 0 },
  panel: {
    width: 420,
    flexGrow: 0,
    backgroundColor: colour.sheet,
    borderLeftWidth: 1,
    borderLeftColor: colour.rule,
  },
  columns: { flexDirection: 'row', gap: space.huge, alignItems: 'flex-start' },
});
