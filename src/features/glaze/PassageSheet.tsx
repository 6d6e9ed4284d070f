import { useState } from 'react';
import { usePaintings } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Search } from '@/ui/Search';
import { Sheet } from '@/ui/Sheet';
import { Text } from '@/ui/Text';

const AT_ONCE = 6;

/** A passage of a painting, or the scale of greys. */
export function PassageSheet({
  onPick,
  onClose,
}: {
  onPick: (to: { painting: string; passage: string } | null) => void;
  onClose: () => void;
}) {
  const [search, setSearch] = useState('');
  const paintings = usePaintings();
  const wanted = search.trim().toLowerCase();
  const found = paintings.filter((p) => p.title.toLowerCase().includes(wanted));
  return (
    <Sheet name="What the glaze goes over" onClose={onClose}>
      {paintings.length > AT_ONCE ? (
        <Search label="Title" value={search} onChangeText={setSearch} />
      ) : null}
      {found.slice(0, AT_ONCE).map((painting) => (
        <Choice
          key={painting.id}
          label={painting.title}
          options={painting.passages.map((p) => ({ key: p.id, name: p.name }))}
          value={null}
          onChange={(passage) => onPick({ painting: painting.id, passage })}
        />
      ))}
      {found.length > AT_ONCE ? (
        <Text tone="ink2">{`${found.length - AT_ONCE} more: type a part of the title.`}</Text>
      ) : null}
      {found.length === 0 ? (
        <Text tone="ink2">
          {paintings.length === 0
            ? 'There is no painting yet. The scale of greys serves until then.'
            : `No painting is called "${search}".`}
        </Text>
      ) : null}
      <Action title="A scale of greys" onPress={() => onPick(null)} />
      <Action title="Cancel" kind="quiet" onPress={onClose} />
    </Sheet>
  );
}
