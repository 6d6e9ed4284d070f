import { Link, usePathname } from 'expo-router';
import type { ReactNode } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Icon } from '@/ui/Icon';
import { Heading, Text } from '@/ui/Text';
import { useShort, useWide } from '@/ui/Split';
import { colour, space, TARGET } from '@/ui/tokens';
import { Boundary } from './Boundary';
import { EditionBar } from './EditionBar';
import { FOOT_PLACES, RAIL_PLACES, type Place } from './places';
import { SavingBar } from './SavingBar';
import { UndoBar } from './UndoBar';
import { focusHeading } from '@/ui/heading';
import { useArrival } from './useArrival';

/** Phone: the places at the foot. Wide: a rail at the left. */
export function Frame({ children }: { children: ReactNode }) {
  const wide = useWide();
  useArrival();
  return (
    <View style={[styles.frame, wide && { flexDirection: 'row' }]}>
      <SkipLink />
      {wide ? <Rail /> : null}
      <View role="main" style={styles.main}>
        <SavingBar />
        <EditionBar />
        <Boundary of="screen" resetKey={usePathname()}>
          {children}
        </Boundary>
        <UndoBar />
      </View>
      {wide ? null : <Foot />}
    </View>
  );
}

/** For keys and readers: past the places, to what the screen is about. In sight only while it has the focus. */
function SkipLink() {
  return (
    <Pressable
      accessibilityRole="link"
      // An anchor: Enter on what is only called a link presses nothing.
      {...({ href: '#' } as object)}
      onPress={(event) => {
        event.preventDefault();
        focusHeading();
      }}
      style={(state) => [
        styles.skip,
        (state as { focused?: boolean }).focused ? { left: space.s } : null,
      ]}
    >
      <Text strong>To the content</Text>
    </Pressable>
  );
}

function Rail() {
  return (
    <View role="navigation" aria-label="Places" style={styles.rail}>
      <Heading level={2} size="large" style={styles.name}>
        Tawny Hour
      </Heading>
      {RAIL_PLACES.map((place) => (
        <PlaceLink key={place.href} place={place} rail />
      ))}
    </View>
  );
}

function Foot() {
  return (
    <View role="navigation" aria-label="Places" style={styles.foot}>
      {FOOT_PLACES.map((place) => (
        <PlaceLink key={place.href} place={place} rail={false} />
      ))}
    </View>
  );
}

function PlaceLink({ place, rail }: { place: Place; rail: boolean }) {
  // Where there is little height, the sign alone.
  const short = useShort() && !rail;
  const here = place.owns(usePathname());
  return (
    <Link href={place.href} asChild>
      <Pressable
        accessibilityRole="link"
        aria-label={place.name}
        aria-current={here ? 'page' : undefined}
        // The link hands its style on as one object.
        style={StyleSheet.flatten(
          rail ? styles.railPlace : [styles.footPlace, short && { minHeight: TARGET }],
        )}
      >
        <View
          style={[
            rail ? styles.railMark : styles.footMark,
            here && { backgroundColor: colour.tawny },
          ]}
        />
        <Icon path={place.icon} tint={here ? colour.ink : colour.ink2} />
        {short ? null : (
          <Text size="small" strong={here} tone={here ? 'ink' : 'ink2'}>
            {place.name}
          </Text>
        )}
      </Pressable>
    </Link>
  );
}

const styles = StyleSheet.create({
  frame: { flex: 1, backgroundColor: colour.wall },
  main: { flex: 1, minWidth: 0 },
  skip: {
    position: 'absolute',
    top: space.s,
    left: -1000,
    zIndex: 1,
    minHeight: TARGET,
    justifyContent: 'center',
    paddingHorizontal: space.l,
    backgroundColor: colour.sheet,
    borderWidth: 2,
    borderColor: colour.ink,
  },
  rail: {
    width: 104,
    backgroundColor: colour.sheet,
    borderRightWidth: 1,
    borderRightColor: colour.rule,
    paddingTop: space.l,
  },
  name: { textAlign: 'center', marginBottom: space.xl, paddingHorizontal: space.s },
  railPlace: { alignItems: 'center', paddingVertical: space.m, minHeight: TARGET },
  railMark: {
    position: 'absolute',
    left: 0,
    top: 10,
    bottom: 10,
    width: 4,
    borderTopRightRadius: 3,
    borderBottomRightRadius: 3,
  },
  foot: {
    flexDirection: 'row',
    backgroundColor: colour.sheet,
    borderTopWidth: 1,
    borderTopColor: colour.rule,
    paddingBottom: space.xs,
  },
  footPlace: { flex: 1, alignItems: 'center', paddingTop: space.s, minHeight: 58 },
  footMark: {
    position: 'absolute',
    top: -1,
    width: 48,
    height: 4,
    borderBottomLeftRadius: 3,
    borderBottomRightRadius: 3,
  },
});
