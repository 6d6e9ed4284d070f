import { useState } from 'react';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { useSwatches } from '@/store/hooks';
import { stackLook } from '@/core/painting/look';
import { coreSteps, groundDrawing } from '@/features/film-view';
import { FilmCore } from '@/ui/film/FilmCore';
import { StateTag } from '@/ui/film/StateSwatch';
import { Action } from '@/ui/Action';
import { StudioLink } from '@/features/frame/StudioLink';
import { WhenChoice } from '@/features/record/WhenChoice';
import { Notice } from '@/ui/Notice';
import { Screen } from '@/ui/Screen';
import { Heading, Text } from '@/ui/Text';
import { Tick } from '@/ui/Tick';
import { DiamondKey } from '@/ui/time/WindowBar';
import { nearTime, shortTime } from '@/ui/time/words';
import { useWide } from '@/ui/Split';
import { colour, radius, space, TARGET } from '@/ui/tokens';
import { FingerSlabs } from './FingerSlabs';
import { useTouch, type Noted, type Touchable, type TouchView } from './useTouch';

/** A corner touched: which film, what the finger finds, noted. */
export function TouchScreen({
  painting,
  passage,
}: {
  painting: string | null;
  passage: string | null;
}) {
  const view = useTouch({ painting, passage });
  const wide = useWide();
  const swatches = useSwatches();
  const { chosen } = view;
  if (!chosen)
    return (
      <Screen title="Touch" aside={<StudioLink />}>
        <Text tone="ink2">
          No paint is laid yet. Once a coat is on, touch a corner of it each morning and note what
          the finger finds: the forecast learns from it.
        </Text>
      </Screen>
    );
  return (
    <Screen
      title="What does the finger find?"
      aside={<StudioLink />}
      maxWidth={wide ? 1040 : 720}
      foot={<Foot view={view} chosen={chosen} />}
    >
      <View style={wide ? { flexDirection: 'row', gap: space.huge } : null}>
        <View style={wide ? { width: 360 } : null}>
          <Passages view={view} chosen={chosen} wide={wide} />
          <Chosen chosen={chosen} nowMs={view.nowMs} />
        </View>
        <View style={wide ? { flex: 1 } : null}>
          <FingerSlabs
            value={view.finding}
            onChange={view.find}
            paint={stackLook(chosen.stack, chosen.painting, swatches).now.screen.hex}
          />
          {view.finding === 'nail-hard' || view.finding === 'touch-dry' ? (
            <Tick
              title="A thumb twist on the witness dab still leaves a mark"
              checked={view.twistMarks}
              onPress={() => view.setTwistMarks(!view.twistMarks)}
            />
          ) : null}
          {view.when.when === 'now' ? (
            <Action
              title="Touched now. At another hour?"
              kind="quiet"
              style={{ alignSelf: 'flex-start' }}
              onPress={() => view.setWhen({ ...view.when, when: 'hour' })}
            />
          ) : (
            <View style={{ marginTop: space.m }}>
              <WhenChoice value={view.when} onChange={view.setWhen} />
            </View>
          )}
          {view.refusal ? <Notice tone="refusal">{view.refusal}</Notice> : null}
          <Text size="small" tone="ink2" style={{ marginTop: space.m }}>
            Touch a corner or the witness dab, not the picture. Thumb twists on the witness only.
            Wear a glove where the paint holds lead, cadmium or cobalt.
          </Text>
        </View>
      </View>
    </Screen>
  );
}

const nameOf = ({ passage, spotName }: Touchable): string =>
  spotName ? `${passage.name}: ${spotName}` : passage.name;

/** The most worth it first; of hundreds the rest comes when it is asked for. */
const AT_ONCE = 6;
const AT_ONCE_WIDE = 24;
const MORE_AT_ONCE = 24;

function Passages({ view, chosen, wide }: { view: TouchView; chosen: Touchable; wide: boolean }) {
  const [more, setMore] = useState(0);
  const shown = view.list.slice(0, (wide ? AT_ONCE_WIDE : AT_ONCE) + more);
  const left = view.list.length - shown.length;
  const swatches = useSwatches();
  const all = more > 0;
  const showMore =
    left > 0 ? (
      <Action title={`${left} more`} kind="quiet" onPress={() => setMore(more + MORE_AT_ONCE)} />
    ) : null;
  const stop = shown.some((t) => t.key === chosen.key) ? chosen.key : shown[0]?.key;
  const tabs = (
    <View
      role="tablist"
      aria-label="Passages to touch, the most worth it first"
      style={[styles.tabs, (all || wide) && { flexWrap: 'wrap' }]}
    >
      {shown.map((t) => (
        <Pressable
          key={t.key}
          accessibilityRole="tab"
          tabIndex={t.key === stop ? 0 : -1}
          aria-selected={t.key === chosen.key}
          aria-label={`${nameOf(t)}, ${t.painting.title}${t.worth > 0 ? ', worth a touch' : ''}`}
          onPress={() => view.choose(t.key)}
          style={[styles.tab, t.key === chosen.key && styles.tabHere]}
        >
          <FilmCore
            steps={coreSteps(t.stack, t.painting, swatches)}
            ground={groundDrawing(t.painting)}
            height={40}
            width={18}
          />
          <View>
            <Text strong={t.key === chosen.key} size="small">
              {nameOf(t)}
            </Text>
            {t.worth > 0 ? (
              <Text size="small" tone="tawny">
                worth a touch
              </Text>
            ) : null}
          </View>
        </Pressable>
      ))}
    </View>
  );
  return wide || all ? (
    <>
      {tabs}
      {showMore}
    </>
  ) : (
    <ScrollView horizontal>
      {tabs}
      {showMore}
    </ScrollView>
  );
}

function Chosen({ chosen, nowMs }: { chosen: Touchable; nowMs: number }) {
  const { film, state } = chosen.top;
  return (
    <View style={{ paddingVertical: space.m, gap: 2 }}>
      <Text size="small" tone="ink2">
        {chosen.painting.title}
      </Text>
      <Heading size="title">{nameOf(chosen)}</Heading>
      <Text>{`${film.name.toLowerCase()}, laid ${film.laidAtMs === null ? '' : shortTime(film.laidAtMs, nowMs)}`}</Text>
      <StateTag state={state} words={`${state}, by the forecast`} />
    </View>
  );
}

function Marks({ p50, p90, nowMs }: { p50: number | null; p90: number | null; nowMs: number }) {
  const told = (ms: number | null) => (ms === null ? 'never' : nearTime(ms, nowMs));
  return (
    <View style={styles.marks}>
      <DiamondKey solid={false} />
      <Text strong>{told(p50)}</Text>
      <DiamondKey solid />
      <Text strong>{told(p90)}</Text>
    </View>
  );
}

const STAGE_WORD: Record<Noted['stage'], string> = {
  touchDry: 'Touch-dry',
  throughDry: 'Through-dry',
};

/** The forecast, and once a test is noted the new one beside the old. */
function Foot({ view, chosen }: { view: TouchView; chosen: Touchable }) {
  const { noted, nowMs } = view;
  const stage =
    noted?.stage ??
    (chosen.top.state === 'touch-dry' || chosen.top.state === 'through-dry'
      ? 'throughDry'
      : 'touchDry');
  const window = chosen.top.windows?.[stage];
  return (
    <View style={styles.foot} role="region" aria-label="Forecast">
      <View style={{ flex: 1 }} accessibilityLiveRegion="polite">
        <Text size="small" tone="ink2">
          {noted
            ? `${nameOf(chosen)}, ${noted.finding}, noted`
            : `${STAGE_WORD[stage]} by the forecast`}
        </Text>
        <Marks p50={window?.p50 ?? null} p90={window?.p90 ?? null} nowMs={nowMs} />
        {noted ? (
          <View style={styles.marks}>
            <Text size="small" tone="ink2">
              {view.settled ? 'was' : 'learning; was'}
            </Text>
            <Marks {...noted.before} nowMs={nowMs} />
          </View>
        ) : null}
      </View>
      {noted ? (
        <Action title="Next" onPress={view.next} />
      ) : (
        <Action title="Note it" kind="primary" disabled={!view.finding} onPress={view.note} />
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  tabs: { flexDirection: 'row', gap: space.xs },
  tab: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.s,
    paddingHorizontal: space.s,
    minHeight: TARGET + 8,
    borderRadius: radius.m,
    borderWidth: 2,
    borderColor: 'transparent',
  },
  tabHere: { borderColor: colour.ink, backgroundColor: colour.sheet },
  marks: { flexDirection: 'row', alignItems: 'center', gap: space.s },
  foot: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.m,
    padding: space.l,
    backgroundColor: colour.sheet,
    borderTopWidth: 1,
    borderTopColor: colour.rule,
  },
});
