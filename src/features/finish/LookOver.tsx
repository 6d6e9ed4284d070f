import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import {
  beginScan,
  dropScan,
  endScan,
  finishingOf,
  scanUnderWay,
  seeSquare,
} from '@/core/finish/edit';
import type { Scan } from '@/core/finish/schema';
import { openBothers } from '@/core/painting/notes-of';
import { LOOKED, SCAN_GRID, type Looked } from '@/core/finish/vocabulary';
import type { Painting, PaintingAssessment } from '@/core/painting';
import { timer, useSeconds } from '@/features/session/useSession';
import { changePainting } from '@/store/actions';
import { useStoreDispatch } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { TwoColumns } from '@/ui/Split';
import { Heading, Text } from '@/ui/Text';
import { dayMonthYear } from '@/ui/time/words';
import { colour, space, TARGET } from '@/ui/tokens';
import { BotherForm } from './BotherForm';

export const WAY_WORDS: Record<Looked, string> = {
  upright: 'upright',
  mirrored: 'in a mirror',
  'at-distance': 'from far off',
};
const WAY_SAYS: Record<Looked, string> = {
  upright: 'Go square by square, at arm’s length. Name one thing at most in each.',
  mirrored:
    'Look at it in a mirror, or turn it upside down: what the eye has got used to is strange again.',
  'at-distance': 'Stand back three times its longer side, and half close the eyes.',
};

/** A walk over the whole picture, with a timer, and what is found on it. */
export function LookOver({
  assessment: { painting },
  onBothers,
}: {
  assessment: PaintingAssessment;
  onBothers: () => void;
}) {
  const scan = scanUnderWay(painting);
  const looks = finishingOf(painting).scans.filter((s) => s.to !== null);
  const last = looks.at(-1);
  const open = openBothers(painting).length;
  return (
    <TwoColumns
      left={
        <>
          {scan ? <Walk painting={painting} scan={scan} /> : <Begin painting={painting} />}
          <View style={{ gap: space.xs }}>
            <Text tone="ink2">
              {last
                ? `${looks.length === 1 ? 'One look' : `${looks.length} looks`} so far; the last ${WAY_WORDS[last.way]}, ${dayMonthYear(Date.parse(last.from))}.`
                : 'No look over the whole picture has been noted yet.'}
            </Text>
            {open > 0 ? (
              <Action
                title={open === 1 ? 'One thing bothers' : `${open} things bother`}
                kind="quiet"
                onPress={onBothers}
                style={{ alignSelf: 'flex-start' }}
              />
            ) : null}
          </View>
        </>
      }
      right={
        <View style={{ gap: space.s }}>
          <Heading>Note what bothers</Heading>
          <BotherForm painting={painting} />
        </View>
      }
    />
  );
}

function Begin({ painting }: { painting: Painting }) {
  const dispatch = useStoreDispatch();
  const [way, setWay] = useState<Looked>('upright');
  const [by, setBy] = useState<Scan['by']>('squares');
  return (
    <View>
      <Choice
        label="How it is looked at"
        options={LOOKED.map((key) => ({ key, name: WAY_WORDS[key] }))}
        value={way}
        onChange={setWay}
      />
      <Text tone="ink2" style={{ marginBottom: space.m }}>
        {WAY_SAYS[way]}
      </Text>
      <Choice
        label="Walked by"
        options={[
          { key: 'squares', name: 'nine squares' },
          { key: 'passages', name: 'passages' },
        ]}
        value={by}
        onChange={setBy}
      />
      <Action
        title="Begin looking"
        kind="primary"
        onPress={() =>
          dispatch(
            changePainting(painting.id, 'Began to look it over', (p, m) =>
              beginScan(p, way, by, m),
            ),
          )
        }
        style={{ alignSelf: 'flex-start' }}
      />
    </View>
  );
}

const ROWS = ['upper', 'middle', 'lower'];
const COLUMNS = ['left', 'centre', 'right'];
const squareName = (i: number): string =>
  `${ROWS[Math.floor(i / SCAN_GRID)]} ${COLUMNS[i % SCAN_GRID]}`;

function Walk({ painting, scan }: { painting: Painting; scan: Scan }) {
  const dispatch = useStoreDispatch();
  const seconds = useSeconds(true);
  const minutes = Math.max(0, (seconds - Date.parse(scan.from)) / 60_000);
  const places =
    scan.by === 'squares'
      ? Array.from({ length: SCAN_GRID * SCAN_GRID }, (_, i) => ({
          key: i as number | string,
          name: squareName(i),
        }))
      : painting.passages.map((p) => ({ key: p.id as number | string, name: p.name }));
  const left = places.filter((p) => !scan.seen.includes(p.key));
  const change = (what: string, run: Parameters<typeof changePainting>[2]) =>
    dispatch(changePainting(painting.id, what, run));
  // A mirror turns left and right: the squares turn with it.
  const shown =
    scan.way === 'mirrored' && scan.by === 'squares'
      ? places.map((_, i) => places[i - (i % SCAN_GRID) + (SCAN_GRID - 1 - (i % SCAN_GRID))]!)
      : places;
  return (
    <View style={{ gap: space.m }}>
      <Heading>{`Looking ${WAY_WORDS[scan.way]}, ${timer(minutes, true)}`}</Heading>
      <Text>
        {left.length === 0
          ? 'All of it has been looked at.'
          : `${left.length} of ${places.length} still to look at. Tap what you have looked at.`}
      </Text>
      <View style={scan.by === 'squares' ? styles.grid : { gap: space.s }}>
        {shown.map((place) => {
          const seen = scan.seen.includes(place.key);
          return (
            <Pressable
              key={place.key}
              accessibilityRole="checkbox"
              aria-checked={seen}
              aria-label={place.name}
              onPress={() =>
                change('Looked at a part', (p, m) => seeSquare(p, scan.id, place.key, m))
              }
              style={[
                scan.by === 'squares' ? styles.square : styles.row,
                seen && { backgroundColor: colour.well, borderStyle: 'solid' },
              ]}
            >
              <Text size="small" strong={seen} style={{ textAlign: 'center' }}>
                {seen ? `${place.name}, seen` : place.name}
              </Text>
            </Pressable>
          );
        })}
      </View>
      <Action
        title="The look is over"
        kind="primary"
        disabled={left.length > 0}
        onPress={() => change('Looked it over', (p, m) => endScan(p, scan.id, m))}
        style={{ alignSelf: 'flex-start' }}
      />
      <Action
        title="Break it off"
        kind="quiet"
        onPress={() => change('Broke a look off', (p, m) => dropScan(p, scan.id, m))}
        style={{ alignSelf: 'flex-start' }}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  grid: { flexDirection: 'row', flexWrap: 'wrap', maxWidth: 360 },
  square: {
    width: '33.33%',
    minHeight: TARGET * 1.6,
    alignItems: 'center',
    justifyContent: 'center',
    borderWidth: 1,
    borderColor: colour.ink2,
    borderStyle: 'dashed',
    padding: space.xs,
  },
  row: {
    minHeight: TARGET,
    justifyContent: 'center',
    borderWidth: 1,
    borderColor: colour.ink2,
    borderStyle: 'dashed',
    paddingHorizontal: space.m,
  },
});
