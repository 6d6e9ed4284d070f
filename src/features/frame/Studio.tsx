import { useEffect, useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { SafeAreaProvider } from 'react-native-safe-area-context';
import { Provider } from 'react-redux';
import { browserSurroundings } from '@/store/keep/browser';
import { useStoreSelector } from '@/store/hooks';
import { createKeeper } from '@/store/keep/keeper';
import { keepTime } from '@/store/effects/tick';
import { createStore } from '@/store/store';
import { ThemeProvider } from '@/ui/rne';
import { Heading, Text } from '@/ui/Text';
import { theme } from '@/ui/theme';
import { colour, space } from '@/ui/tokens';
import { Boundary } from './Boundary';
import { KeeperProvider } from './KeeperContext';

function openStudio() {
  const store = createStore();
  const around = browserSurroundings();
  const keeper = createKeeper(store, around);
  around.onArrival((keys) => void keeper.arrived(keys));
  keepTime(store);
  return { store, keeper };
}

/** Store, storage and theme around everything. */
export function Studio({ children }: { children: ReactNode }) {
  const [{ store, keeper }] = useState(openStudio);
  useEffect(() => {
    void keeper.start();
  }, [keeper]);
  return (
    <Provider store={store}>
      <KeeperProvider value={keeper}>
        <SafeAreaProvider>
          <ThemeProvider theme={theme}>
            <Boundary of="frame">
              <WhenLoaded>{children}</WhenLoaded>
            </Boundary>
          </ThemeProvider>
        </SafeAreaProvider>
      </KeeperProvider>
    </Provider>
  );
}

/** No screen is drawn on an empty store that is only not read yet. */
function WhenLoaded({ children }: { children: ReactNode }) {
  const loading = useStoreSelector((state) => state.saving.phase === 'loading');
  return loading ? (
    <View style={{ flex: 1, backgroundColor: colour.wall, padding: space.xl, paddingTop: space.l }}>
      <Heading level={1} size="title">
        Tawny Hour
      </Heading>
      <Text tone="ink2">Opening the studio …</Text>
    </View>
  ) : (
    children
  );
}
