import { View } from 'react-native';
import { withoutEvent } from '@/core/painting/events';
import { type PaintingEvent } from '@/core/painting';
import { changePainting } from '@/store/actions';
import { useStoreDispatch } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Heading, Text } from '@/ui/Text';
import { shortTime } from '@/ui/time/words';
import { colour, space } from '@/ui/tokens';
import type { SectionView } from './useSectionView';

const HOW = {
  wiped: 'Wiped back',
  scraped: 'Scraped',
  sanded: 'Sanded',
  'painted-out': 'Painted out',
} as const;
const LEFT = { all: 'all of it left', half: 'half left', trace: 'a trace left' } as const;

function words(event: PaintingEvent): string {
  if (event.kind === 'reduced')
    return `${HOW[event.how]}, ${LEFT[event.left]}${event.spotName ? `, ${event.spotName}` : ''}`;
  if (event.kind === 'touched')
    return `Touched: ${event.finding}${event.setAside ? ', set aside' : ''}`;
  const spot = event.spot ? `, ${event.spot.name} ${Math.round(event.spot.share * 100)} %` : '';
  return `Laid ${event.name.toLowerCase()}${event.intoWet ? ', into the wet' : ''}${spot}`;
}

/** What was done on this passage, newest first; an entry made by mistake can be taken back. */
export function History({ view }: { view: SectionView }) {
  const dispatch = useStoreDispatch();
  const { painting, passage, nowMs } = view;
  const here = painting.events.filter((e) =>
    e.kind === 'laid'
      ? e.passageIds.includes(passage.passage.id)
      : e.passageId === passage.passage.id,
  );
  if (here.length === 0) return null;
  const newestFirst = [...here].sort((a, b) => Date.parse(b.at) - Date.parse(a.at));
  const takeBack = (event: PaintingEvent) =>
    dispatch(
      changePainting(painting.id, `Took back: ${words(event)}`, (p, making) =>
        withoutEvent(p, event.id, making),
      ),
    );
  return (
    <View style={{ marginTop: space.xl }}>
      <Heading size="body">What was done here</Heading>
      {newestFirst.map((event) => (
        <View
          key={event.id}
          style={{
            flexDirection: 'row',
            alignItems: 'center',
            gap: space.s,
            borderBottomWidth: 1,
            borderBottomColor: colour.rule,
          }}
        >
          <Text size="small" tone="ink2" style={{ width: 84 }}>
            {shortTime(Date.parse(event.at), nowMs)}
          </Text>
          <Text size="small" style={{ flex: 1 }}>
            {words(event)}
          </Text>
          <Action title="Take back" kind="quiet" onPress={() => takeBack(event)} />
        </View>
      ))}
    </View>
  );
}
