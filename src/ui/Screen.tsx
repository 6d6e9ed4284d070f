import { arrowLeftIcon } from './desk-icons';
import type { ReactNode } from 'react';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { Icon } from './Icon';
import { useShort } from './Split';
import { Heading, Text } from './Text';
import { space, TARGET } from './tokens';

/** How wide a page is where it is one column, and where it is two. */
export const NARROW = 720;
export const WIDE = 1080;

export interface HeadProps {
  title: string;
  subtitle?: string;
  onBack?: () => void;
  /** At the right of the title. */
  aside?: ReactNode;
}

interface Props extends HeadProps {
  children: ReactNode;
  /** Below the scroll, always in reach. */
  foot?: ReactNode;
  maxWidth?: number;
}

/** What a screen is called, and the way back. */
export function ScreenHead({ title, subtitle, onBack, aside }: HeadProps) {
  return (
    <View style={styles.head}>
      {onBack ? <BackButton onPress={onBack} /> : null}
      <View style={{ flex: 1 }}>
        <Heading level={1} size="title">
          {title}
        </Heading>
        {subtitle ? <Text tone="ink2">{subtitle}</Text> : null}
      </View>
      {aside}
    </View>
  );
}

/** A scrolling screen with its title. */
export function Screen({ children, foot, maxWidth = NARROW, ...head }: Props) {
  const short = useShort();
  return (
    <View style={{ flex: 1 }}>
      <ScrollView
        contentContainerStyle={[styles.content, { maxWidth }]}
        keyboardShouldPersistTaps="handled"
      >
        <ScreenHead {...head} />
        {children}
        {short ? foot : null}
      </ScrollView>
      {short ? null : foot}
    </View>
  );
}

export function BackButton({ onPress }: { onPress: () => void }) {
  return (
    <Pressable accessibilityRole="button" aria-label="Back" onPress={onPress} style={styles.back}>
      <Icon path={arrowLeftIcon} />
    </Pressable>
  );
}

const styles = StyleSheet.create({
  content: { padding: space.xl, paddingTop: space.l, width: '100%', alignSelf: 'flex-start' },
  head: { flexDirection: 'row', alignItems: 'flex-start', gap: space.s, marginBottom: space.l },
  back: {
    width: TARGET,
    height: TARGET,
    marginLeft: -12,
    alignItems: 'center',
    justifyContent: 'center',
  },
});

export const screenContent = styles.content;
