import { useState } from 'react';
import { View } from 'react-native';
import { PIGMENT_ROWS } from '@/data/pigments';
import { Action } from '@/ui/Action';
import { Search } from '@/ui/Search';
import { Sheet } from '@/ui/Sheet';
import { Text } from '@/ui/Text';
import { NO_SWATCHES } from '@/core/optics/composition';
import { tubeColours } from './colours';
import { PickerRow } from './PickerRow';

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
      <Search label="Name or Colour Index" value={search} onChangeText={setSearch} />
      <View>
        {found.map((p) => (
          <PickerRow
            key={p.key}
            colours={tubeColours({ pigment: p.key, binder: 'linseed' }, NO_SWATCHES)}
            name={p.name}
            detail={`${p.ci}, ${p.transparency}${p.metals.length > 0 ? `; holds ${p.metals.join(', ')}` : ''}`}
            onPress={() => onPick(p.key)}
          />
        ))}
        {found.length === 0 ? <Text tone="ink2">{`No pigment is called "${search}".`}</Text> : null}
      </View>
      <Action title="Cancel" kind="quiet" onPress={onClose} />
    </Sheet>
  );
}
