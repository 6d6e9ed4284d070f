import { usePathname, useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { GoTo } from '@/ui/GoTo';
import { Text } from '@/ui/Text';
import { colour, space, TARGET } from '@/ui/tokens';

const PAGES = [
  { href: '/bench', name: 'Medium' },
  { href: '/bench/paint', name: 'Paint' },
  { href: '/bench/oiling-out', name: 'Oiling out' },
  { href: '/bench/grid', name: 'Grid' },
] as const;

/** The four things that are reckoned on the bench. */
export function BenchTabs() {
  const router = useRouter();
  const path = usePathname();
  return (
    <View role="navigation" aria-label="On the bench" style={styles.tabs}>
      {PAGES.map(({ href, name }) => {
        const here = path === href;
        return (
          <GoTo
            key={href}
            href={href}
            onGo={() => router.replace(href)}
            label={here ? `${name}, here` : name}
            style={[styles.tab, here && styles.here]}
          >
            <Text strong={here} tone={here ? 'ink' : 'ink2'}>
              {name}
            </Text>
          </GoTo>
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  tabs: {
    flexDirection: 'row',
    borderBottomWidth: 1,
    borderBottomColor: colour.rule,
    marginBottom: space.l,
  },
  tab: { minHeight: TARGET, justifyContent: 'center', paddingHorizontal: space.m },
  here: { borderBottomWidth: 3, borderBottomColor: colour.tawny },
});
