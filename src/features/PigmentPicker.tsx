import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { PIGMENT_ROWS } from '@/data/pigments';
import { Action } from '@/ui/Action';
import { Field } from '@/ui/Field';
import { Sheet } from '@/ui/Sheet';
import { Text } from '@/ui/Text';
import { colour, space, TARGET } from '@/ui/tokens';

/** One pigment of the table, found by name or Colour Index code. */
export function PigmentPicker({
  onPick,
  onClose,
}: {
  onPick: (key: string) => void;
  onClose: () => void;
}) {
  const [search, setSearch] = useState('');
  const wanted = search.trim().toLowerCase();
  const found = PIGMENT_ROWS.filter((p) => `${p.name} ${p.ci}`.toLowerCase().includes(wanted));
  return (
    <Sheet name="Choose a pigment" onClose={onClose}>
      <Field label="Name or Colour Index" value={search} onChangeText={setSearch} />
      <View>
        {found.map((p) => (
          <Pressable
            key={p.key}
            accessibilityRole="button"
            onPress={() => onPick(p.key)}
            style={styles.row}
          >
            <View style={[styles.swatch, { backgroundColor: p.masstone_srgb }]} />
            <View style={[styles.swatch, { backgroundColor: p.tint_srgb }]} />
            <View style={{ flex: 1 }}>
              <Text strong>{p.name}</Text>
              <Text size="small" tone="ink2">
                {`${p.ci}, ${p.transparency}${p.metals.length > 0 ? `; holds ${p.metals.join(', ')}` : ''}`}
              </Text>
            </View>
          </Pressable>
        ))}
        {found.length === 0 ? <Text tone="ink2">{`No pigment is called "${search}".`}</Text> : null}
      </View>
      <Action title="Cancel" kind="quiet" onPress={onClose} />
    </Sheet>
  );
}

const styles = StyleSheet.create({
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.s,
    minHeight: TARGET,
    paddingVertical: space.xs,
    borderBottomWidth: 1,
    borderBottomColor: colour.rule,
  },
  swatch: { width: 20, height: 32, borderRadius: 3 },
});
