import { useState } from 'react';
import { View } from 'react-native';
import { useRouter } from 'expo-router';
import { AIR_ADVICE, USUAL_ROOM, VAPOURS, VAPOUR_KEYS, type VapourKey } from '@/data/air';
import { GOVERNS } from '@/data/cautions';
import { airOutlook, type Range, type VapourOutlook } from '@/core/air/outlook';
import { roomSchema, type Room } from '@/core/air/room-schema';
import { vapourOfSession, type Source } from '@/core/air/sources';
import { STUDIO_HANDBOOK } from '@/core/handbook';
import { sessionMinutes } from '@/core/session';
import { sessionAddress } from '@/features/addresses';
import { useParam } from '@/features/params';
import { useSessions } from '@/features/session/useSession';
import { parseNumber, useLiveForm } from '@/forms';
import { useNow, useStoreDispatch, useStoreSelector } from '@/store/hooks';
import { settingsChanged } from '@/store/studio';
import { Choice } from '@/ui/Choice';
import { Notice } from '@/ui/Notice';
import { Problem } from '@/ui/Says';
import { Screen, WIDE } from '@/ui/Screen';
import { Stepper } from '@/ui/Stepper';
import { Table } from '@/ui/Table';
import { TwoColumns } from '@/ui/Split';
import { Heading, Text } from '@/ui/Text';
import { sessionDay } from '@/ui/time/words';
import { space } from '@/ui/tokens';

const SESSIONS_OFFERED = 5;

/** What evaporates in a session and what that leaves in the room: a range, never a clearance. */
export function AirScreen() {
  const router = useRouter();
  const now = useNow();
  const sessions = useSessions();
  const paintings = useStoreSelector((s) => s.paintings.entities);
  const room = useStoreSelector((s) => s.studio.room) ?? USUAL_ROOM;
  const asked = useParam('session');
  const cameFrom = sessions.find((s) => s.id === asked);
  const offered = sessions.filter((s, i) => i < SESSIONS_OFFERED || s === cameFrom);
  const [picked, setPicked] = useState<string | null>(null);
  // A session that is not here any more is none.
  const chosen = picked ?? cameFrom?.id ?? 'none';
  const session = offered.find((s) => s.id === chosen) ?? null;
  const [hours, setHours] = useState('3');
  const [solvent, setSolvent] = useState<VapourKey>('odourless');
  const [diameter, setDiameter] = useState('6');
  const [washed, setWashed] = useState('20');
  const lasts = session ? Math.max(0.25, sessionMinutes(session, now) / 60) : parseNumber(hours);
  const dish = parseNumber(diameter);
  const wash = parseNumber(washed);
  const known = lasts > 0 && dish >= 0 && wash >= 0;
  const sources: Source[] = [
    ...(session ? vapourOfSession(STUDIO_HANDBOOK, session, paintings) : []),
    ...(dish > 0
      ? [{ kind: 'dish' as const, vapour: solvent, diameterCm: dish, hours: lasts }]
      : []),
    ...(wash > 0 ? [{ kind: 'washing' as const, vapour: solvent, ml: wash }] : []),
  ];
  const outlooks = known ? airOutlook({ room, hours: lasts, sources }) : null;
  return (
    <Screen
      title="Air of the room"
      subtitle="What solvents leave in it. An estimate with wide error; it says of nothing that it may be breathed."
      onBack={() => router.navigate(cameFrom ? sessionAddress(cameFrom.id) : '/studio')}
      maxWidth={WIDE}
    >
      <TwoColumns
        left={
          <>
            <RoomForm room={room} />
            <View style={{ gap: space.s }}>
              <Heading>The session</Heading>
              {offered.length > 0 ? (
                <Choice
                  label="What was laid in"
                  options={[
                    { key: 'none', name: 'no session: only what is below' },
                    ...offered.map((s) => ({
                      key: s.id,
                      name: sessionDay(Date.parse(s.startedAt), now),
                    })),
                  ]}
                  value={chosen}
                  onChange={setPicked}
                />
              ) : null}
              {session ? (
                <Text tone="ink2">{`It lasted ${lasts.toFixed(1)} h.`}</Text>
              ) : (
                <Stepper
                  label="It lasts"
                  unit="h"
                  step={1}
                  min={0.25}
                  max={24}
                  text={hours}
                  onChangeText={setHours}
                />
              )}
              <Choice
                label="Solvent in the dish and for washing"
                options={VAPOUR_KEYS.map((key) => ({ key, name: VAPOURS[key].name }))}
                value={solvent}
                onChange={setSolvent}
              />
              <Stepper
                label="Open dish, across"
                unit="cm"
                step={1}
                min={0}
                max={60}
                text={diameter}
                onChangeText={setDiameter}
              />
              <Stepper
                label="Washed out and wiped off"
                unit="ml"
                step={10}
                min={0}
                max={2000}
                text={washed}
                onChangeText={setWashed}
              />
            </View>
          </>
        }
        right={
          <>
            <View style={{ gap: space.m }} aria-live="polite">
              {outlooks === null ? (
                <Text>Give hours, dish and amount as numbers from 0 up.</Text>
              ) : outlooks.length === 0 ? (
                <Text>Nothing of it gives off solvent.</Text>
              ) : (
                outlooks.map((o) => <Vapour key={o.vapour} outlook={o} room={room} />)
              )}
            </View>
            <View style={{ gap: space.s }}>
              <Heading>Whatever the figures say</Heading>
              {AIR_ADVICE.map((line) => (
                <Notice key={line}>{line}</Notice>
              ))}
              <Notice>{GOVERNS}</Notice>
            </View>
          </>
        }
      />
    </Screen>
  );
}

function RoomForm({ room }: { room: Room }) {
  const dispatch = useStoreDispatch();
  const form = useLiveForm({ key: 'room', schema: roomSchema, document: room }, (next: Room) =>
    dispatch(settingsChanged({ room: next })),
  );
  return (
    <View style={{ gap: space.s }}>
      <Heading>The room</Heading>
      <Stepper
        label="Volume"
        unit="m³"
        step={5}
        min={5}
        max={5000}
        {...form.number('volumeM3', 'number')}
      />
      <Stepper
        label="Air changes an hour, at least"
        step={0.1}
        min={0.05}
        max={60}
        {...form.number('changesLeast', 'number')}
      />
      <Stepper
        label="Air changes an hour, at most"
        step={0.5}
        min={0.05}
        max={60}
        {...form.number('changesMost', 'number')}
      />
      <Problem says={form.problem('changes')} />
      <Text size="small" tone="ink2">
        Length by width by height. Windows shut 0.2 to 0.5, one ajar 0.5 to 2, two open across the
        room 4 to 10; nobody knows it without measuring.
      </Text>
    </View>
  );
}

const figure = (v: number): string => (v < 10 ? v.toFixed(1) : String(Math.round(v)));
const rangeWords = ({ least, most }: Range, unit: string): string =>
  figure(least) === figure(most)
    ? `${figure(most)} ${unit}`
    : `${figure(least)} to ${figure(most)} ${unit}`;

const OVER_WORDS: Record<VapourOutlook['over'], string> = {
  likely: 'Where you stand it goes over the strictest limit, even in a lively, well aired room.',
  possible: 'Where you stand it may go over the strictest limit.',
  'not-by-this-estimate':
    'By this estimate it stays under the strictest limit where you stand. An assumed evaporation proves nothing.',
};

function Vapour({ outlook, room }: { outlook: VapourOutlook; room: Room }) {
  const o = outlook;
  const hours = ({ least, most }: VapourOutlook['backHours']): string =>
    least === null
      ? 'more than three days'
      : `${figure(least)} h to ${most === null ? 'more than three days' : `${figure(most)} h`}`;
  return (
    <View style={{ gap: space.s }}>
      <Heading tone={o.over === 'not-by-this-estimate' ? 'ink' : 'brick'}>
        {`${o.name.charAt(0).toUpperCase()}${o.name.slice(1)}: ${rangeWords(o.near, 'mg/m³')} where you stand`}
      </Heading>
      <Text strong>{OVER_WORDS[o.over]}</Text>
      <Table
        name={`${o.name} in the air`}
        rowHeads
        columns={[{ head: '' }, { head: 'mg/m³', width: 130 }]}
        rows={[
          { key: 'n', cells: ['near you, at the end', rangeWords(o.near, '')] },
          { key: 'r', cells: ['the room, at the end', rangeWords(o.room, '')] },
          { key: 'd', cells: ['near you, mean of eight hours', rangeWords(o.nearDay, '')] },
          { key: 'e', cells: ['the room, mean of eight hours', rangeWords(o.roomDay, '')] },
          ...o.limits.map((l, i) => ({
            key: `l${i}`,
            group: 'limits, eight hours',
            cells: [
              {
                words: `${l.by}${l === o.strictest ? ', the strictest' : ''}`,
                strong: l === o.strictest,
              },
              { words: figure(l.mgM3), strong: l === o.strictest },
            ],
          })),
        ]}
      />
      <Text>{`${rangeWords(o.ml, 'ml')} evaporate in all.`}</Text>
      <Text>
        {o.freshNeededM3PerH === null
          ? 'No airing of the room keeps it under that limit where you stand: use less of it, cover it, or draw it off at the easel.'
          : `Fresh air to keep it at that limit where you stand: ${figure(o.freshNeededM3PerH)} m³/h, ${figure(o.freshNeededM3PerH / room.volumeM3)} air changes an hour.`}
      </Text>
      <Text>{`The room is back after ${hours(o.backHours)} from the end, aired as it is.`}</Text>
    </View>
  );
}
