import { useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useStoreDispatch, useStoreSelector } from '@/store/hooks';
import { undone } from '@/store/actions';
import { Action } from '@/ui/Action';
import { Says } from '@/ui/Says';
import { Text } from '@/ui/Text';
import { colour, space } from '@/ui/tokens';

const SHOWN_MS = 20_000;

/** For a while after each change: what was done, and undo. */
export function UndoBar() {
  const dispatch = useStoreDispatch();
  const depth = useStoreSelector((state) => state.undo.changes.length);
  const last = useStoreSelector((state) => state.undo.changes.at(-1));
  /** The change that was shown long enough, and how many there were then. */
  const [over, setOver] = useState<{ last: typeof last; depth: number } | null>(null);
  useEffect(() => {
    const timer = setTimeout(() => setOver({ last, depth }), SHOWN_MS);
    return () => clearTimeout(timer);
  }, [last, depth]);
  const shown = last && !(over?.last === last && over.depth === depth);
  return (
    <Says>
      {shown ? (
        <View style={styles.bar}>
          <Text size="small" style={{ flex: 1 }} numberOfLines={2}>
            {last.what}.
          </Text>
          <Action title="Undo" kind="quiet" onPress={() => dispatch(undone())} />
        </View>
      ) : null}
    </Says>
  );
}

const styles = StyleSheet.create({
  bar: {
    flexDirection: 'row',
    alignItems: 'center',
    paddingHorizontal: space.xl,
    backgroundColor: colour.well,
    borderTopWidth: 1,
    borderTopColor: colour.rule,
  },
});
