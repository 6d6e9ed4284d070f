import { usePathname, useRouter, type Href } from 'expo-router';
import { ScrollView, StyleSheet } from 'react-native';
import { GoTo } from '@/ui/GoTo';
import { Text } from '@/ui/Text';
import { colour, space, TARGET } from '@/ui/tokens';

export interface SidePage {
  href: Href & string;
  name: string;
}

/** The sides of one place, above it; where they do not fit they scroll. */
export function SideTabs({ name: of, pages }: { name: string; pages: readonly SidePage[] }) {
  const router = useRouter();
  const path = usePathname();
  return (
    <ScrollView
      horizontal
      role="navigation"
      aria-label={of}
      showsHorizontalScrollIndicator={false}
      style={styles.tabs}
      contentContainerStyle={{ flexGrow: 1 }}
    >
      {pages.map(({ href, name }) => {
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
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  tabs: {
    flexGrow: 0,
    borderBottomWidth: 1,
    borderBottomColor: colour.rule,
    marginBottom: space.l,
  },
  tab: { minHeight: TARGET, justifyContent: 'center', paddingHorizontal: space.m },
  here: { borderBottomWidth: 3, borderBottomColor: colour.tawny },
});
