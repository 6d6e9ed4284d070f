import { useState } from 'react';
import { View } from 'react-native';
import { plannedCoats, unlaidPassages, type Painting } from '@/core/painting';
import { clusterRows, coatsAtOnce, TODAY_GROUPS } from '@/core/today';
import { addWork, type Session, type SessionPlan } from '@/core/session';
import { rowWords } from '@/features/due-words';
import { changeSession } from '@/store/actions';
import { useNow, usePaintings, useStoreDispatch, useStoreSelector } from '@/store/hooks';
import { selectToday } from '@/store/select';
import { Action } from '@/ui/Action';
import { Search } from '@/ui/Search';
import { Sheet } from '@/ui/Sheet';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';

type NewWork = SessionPlan['works'][number];

/** Where a long wall begins to be searched, not read. */
const SEARCHED_FROM = 8;

/**
 * Take up anything that was not in the plan of the session: what takes paint now stands first, then every other coat of
 * every painting, ready or not, with what is to be said of it.
 */
export function AddWork({ session, onClose }: { session: Session; onClose: () => void }) {
  const dispatch = useStoreDispatch();
  const [openId, setOpen] = useState<string | null>(null);
  const [sought, setSought] = useState('');
  // What is gone is not worked on; what rests or is finished may be.
  const paintings = usePaintings().filter((p) => p.easel?.kind !== 'gone');
  const groups = useStoreSelector(selectToday);
  const ready = clusterRows([...groups['still-open'], ...groups['takes-a-coat']]).filter(
    (c) => c.row.next !== null,
  );
  const take = (...works: Omit<NewWork, 'plannedMinutes'>[]) => {
    dispatch(
      changeSession(session.id, `Added ${works[0]!.name.toLowerCase()}`, (s, m) =>
        works.reduce((was, work) => addWork(was, { ...work, plannedMinutes: null }, m), s),
      ),
    );
    onClose();
  };
  const open = paintings.find((p) => p.id === openId);
  const shown = paintings.filter((p) => p.title.toLowerCase().includes(sought.toLowerCase()));
  return (
    <Sheet name="Work on" onClose={onClose}>
      <View style={{ gap: space.s }}>
        <Heading>{open ? `Work on ${open.title}` : 'Work on'}</Heading>
        {open ? (
          <AnyCoat painting={open} onTake={take} />
        ) : (
          <>
            {ready.length === 0 ? <Text tone="ink2">Nothing takes a coat now.</Text> : null}
            {ready.map(({ row, passages }) => {
              const coats = coatsAtOnce(row);
              const names = passages.map((p) => p.name).join(', ');
              const where = row.spotName ? `${names}, ${row.spotName}` : names;
              return coats.length > 0 ? (
                <Action
                  key={`${row.painting.id}-${coats[0]!.id}-${where}`}
                  title={`${coats.map((c) => c.name).join(', into it ')}: ${where}, ${row.painting.title}`}
                  onPress={() =>
                    take(
                      ...coats.map((coat) => ({
                        paintingId: row.painting.id,
                        passageIds: passages.map((p) => p.id),
                        coatId: coat.id,
                        name: coat.name,
                      })),
                    )
                  }
                />
              ) : null;
            })}
            <Heading size="body">Anything else, ready or not</Heading>
            {paintings.length > SEARCHED_FROM ? (
              <Search label="Find a painting" value={sought} onChangeText={setSought} />
            ) : null}
            {shown.map((painting) => (
              <Action
                key={painting.id}
                title={painting.title}
                kind="quiet"
                onPress={() => setOpen(painting.id)}
              />
            ))}
          </>
        )}
        <Action
          title={open ? 'Back' : 'Cancel'}
          kind="quiet"
          onPress={() => (open ? setOpen(null) : onClose())}
        />
      </View>
    </Sheet>
  );
}

/** Every coat of a painting that is still to be laid, with how it stands; and work without a coat. */
function AnyCoat({
  painting,
  onTake,
}: {
  painting: Painting;
  onTake: (work: Omit<NewWork, 'plannedMinutes'>) => void;
}) {
  const nowMs = useNow();
  const groups = useStoreSelector(selectToday);
  const rows = TODAY_GROUPS.flatMap((g) => groups[g]).filter((r) => r.painting.id === painting.id);
  const coats = painting.coats.filter((c) => unlaidPassages(painting, c).length > 0);
  return (
    <>
      {coats.map((coat) => {
        const ids = unlaidPassages(painting, coat);
        const names = painting.passages
          .filter((p) => ids.includes(p.id))
          .map((p) => p.name)
          .join(', ');
        const row = rows.find((r) => r.next?.film.coatIds[0] === coat.id);
        const behind = ids.some((id) => plannedCoats(painting, id)[0]?.id !== coat.id);
        return (
          <View key={coat.id}>
            <Action
              title={`${coat.name}: ${names}${coat.spot ? `, ${coat.spot.name}` : ''}`}
              onPress={() =>
                onTake({
                  paintingId: painting.id,
                  passageIds: ids,
                  coatId: coat.id,
                  name: coat.name,
                })
              }
            />
            <Text size="small" tone="ink2">
              {row ? rowWords(row, nowMs) : behind ? 'another coat is planned before it' : ''}
            </Text>
          </View>
        );
      })}
      <Action
        title="Looking and drawing"
        onPress={() =>
          onTake({
            paintingId: painting.id,
            passageIds: [],
            coatId: null,
            name: 'Looking and drawing',
          })
        }
      />
    </>
  );
}
