import type { ReactElement, ReactNode } from 'react';
import { FlatList, View } from 'react-native';
import { useShort } from './Split';
import { NARROW, ScreenHead, screenContent, type HeadProps } from './Screen';

/** Rows drawn at first, and with each further step; a phone shows about six. */
export const AT_FIRST = 6;
/** Screens of rows that are kept drawn around the one in sight. */
export const WINDOW = 5;

interface Props<T> extends HeadProps {
  /** Between the title and the rows. */
  above?: ReactNode;
  rows: T[];
  keyOf: (row: T) => string;
  row: (row: T) => ReactElement;
  below?: ReactNode;
  /** Below the scroll, always in reach. */
  foot?: ReactNode;
  maxWidth?: number;
}

/** A screen that is a list, however long: only the rows about the ones in sight are drawn. */
export function ListScreen<T>({
  above,
  rows,
  keyOf,
  row,
  below,
  foot,
  maxWidth = NARROW,
  ...head
}: Props<T>) {
  const short = useShort();
  return (
    <View style={{ flex: 1 }}>
      <FlatList
        style={{ flex: 1 }}
        contentContainerStyle={[screenContent, { maxWidth }]}
        keyboardShouldPersistTaps="handled"
        data={rows}
        keyExtractor={keyOf}
        renderItem={({ item }) => row(item)}
        initialNumToRender={AT_FIRST}
        maxToRenderPerBatch={AT_FIRST}
        windowSize={WINDOW}
        ListHeaderComponent={
          <>
            <ScreenHead {...head} />
            {above}
          </>
        }
        ListFooterComponent={
          <>
            {below}
            {short ? foot : null}
          </>
        }
      />
      {short ? null : foot}
    </View>
  );
}
