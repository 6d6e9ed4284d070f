import { View } from 'react-native';
import { clusterRows } from '@/core/today';
import { addWork, type Session } from '@/core/session';
import { changeSession } from '@/store/actions';
import { usePaintings, useStoreDispatch, useStoreSelector } from '@/store/hooks';
import { selectToday } from '@/store/select';
import { Action } from '@/ui/Action';
import { Sheet } from '@/ui/Sheet';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';

/** Take up something that was not in the plan of the session. */
export function AddWork({ session, onClose }: { session: Session; onClose: () => void }) {
  const dispatch = useStoreDispatch();
  const paintings = usePaintings();
  const groups = useStoreSelector(selectToday);
  const rows = clusterRows([...groups['still-open'], ...groups['takes-a-coat']]).filter(
    (c) => c.row.next !== null,
  );
  return (
    <Sheet name="Work on" onClose={onClose}>
      <View style={{ gap: space.s }}>
        <Heading>Work on</Heading>
        {rows.length === 0 ? <Text tone="ink2">Nothing takes a coat now.</Text> : null}
        {rows.map(({ row, passages }) => {
          const coat = row.painting.coats.find((c) => c.id === row.next!.film.coatIds[0]);
          const names = passages.map((p) => p.name).join(', ');
          return coat ? (
            <Action
              key={`${row.painting.id}-${coat.id}-${names}`}
              title={`${coat.name}: ${names}, ${row.painting.title}`}
              onPress={() => {
                dispatch(
                  changeSession(session.id, `Added ${coat.name.toLowerCase()}`, (s, m) =>
                    addWork(
                      s,
                      {
                        paintingId: row.painting.id,
                        passageIds: passages.map((p) => p.id),
                        coatId: coat.id,
                        name: coat.name,
                        plannedMinutes: null,
                      },
                      m,
                    ),
                  ),
                );
                onClose();
              }}
            />
          ) : null;
        })}
        {paintings.map((painting) => (
          <Action
            key={painting.id}
            title={`Looking and drawing: ${painting.title}`}
            kind="quiet"
            onPress={() => {
              dispatch(
                changeSession(session.id, 'Added looking and drawing', (s, m) =>
                  addWork(
                    s,
                    {
                      paintingId: painting.id,
                      passageIds: [],
                      coatId: null,
                      name: 'Looking and drawing',
                      plannedMinutes: null,
                    },
                    m,
                  ),
                ),
              );
              onClose();
            }}
          />
        ))}
        <Action title="Cancel" kind="quiet" onPress={onClose} />
      </View>
    </Sheet>
  );
}
