import { useRouter } from 'expo-router';
import { useMemo } from 'react';
import { View } from 'react-native';
import { sessionMinutes, type Session } from '@/core/session';
import { sessionAddress } from '@/features/addresses';
import { useNow, useStoreSelector } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { ListRow } from '@/ui/ListRow';
import { ListScreen } from '@/ui/ListScreen';
import { Split, useWide } from '@/ui/Split';
import { Text } from '@/ui/Text';
import { clock, sessionDay } from '@/ui/time/words';
import { space } from '@/ui/tokens';
import { LogSums } from './LogSums';
import { timer, useSessions } from './useSession';

const WEEK_MS = 7 * 86_400_000;

/** Every session, the newest first. */
export function LogScreen() {
  const router = useRouter();
  const sessions = useSessions();
  const nowMs = useNow();
  const week = useMemo(
    () =>
      sessions
        .filter((s) => nowMs - Date.parse(s.startedAt) < WEEK_MS)
        .reduce((sum, s) => sum + sessionMinutes(s, nowMs), 0),
    [sessions, nowMs],
  );
  const wide = useWide();
  const sums = sessions.length > 0 ? <LogSums sessions={sessions} nowMs={nowMs} /> : null;
  const list = (
    <ListScreen
      title="Session log"
      subtitle={`${timer(week)} h in the last seven days`}
      onBack={() => router.navigate('/studio')}
      above={
        <>
          <Action
            title="To the session"
            onPress={() => router.push('/session')}
            style={{ alignSelf: 'flex-start', marginBottom: space.m }}
          />
          {sessions.length === 0 ? (
            <Text tone="ink2">No session is noted yet. Begin one from Today.</Text>
          ) : null}
        </>
      }
      rows={sessions}
      keyOf={(session) => session.id}
      row={(session) => <Row session={session} nowMs={nowMs} />}
      below={wide ? null : <View style={{ marginTop: space.xl }}>{sums}</View>}
    />
  );
  return wide && sums ? <Split panel={sums}>{list}</Split> : list;
}

function Row({ session, nowMs }: { session: Session; nowMs: number }) {
  const router = useRouter();
  const paintings = useStoreSelector((s) => s.paintings.entities);
  const titles = [...new Set(session.works.map((w) => paintings[w.paintingId]?.title ?? ''))]
    .filter(Boolean)
    .join(', ');
  const startMs = Date.parse(session.startedAt);
  const when = sessionDay(startMs, nowMs);
  const hours = `${clock(startMs)} to ${session.endedAt ? clock(Date.parse(session.endedAt)) : 'now'}`;
  const names = [...new Set(session.works.map((w) => w.name))].join(', ');
  return (
    <ListRow href={sessionAddress(session.id)} onGo={() => router.push(sessionAddress(session.id))}>
      <View style={{ width: 104 }}>
        <Text>{when}</Text>
        <Text size="small" tone="ink2">
          {hours}
        </Text>
      </View>
      <View style={{ flex: 1 }}>
        <Text strong>{names || 'nothing noted'}</Text>
        <Text size="small" tone="ink2">
          {[titles, session.photos.length > 0 ? `${session.photos.length} photos` : '']
            .filter(Boolean)
            .join('; ')}
        </Text>
      </View>
      <Text strong tone={session.endedAt === null ? 'tawny' : 'ink'}>
        {`${timer(sessionMinutes(session, nowMs))} h`}
      </Text>
    </ListRow>
  );
}
