import { shownTemperature, temperatureWords } from '@/features/units';
import { useTemperatureUnit } from '@/features/useTemperature';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useStoreDispatch, useStoreSelector } from '@/store/hooks';
import { settingsChanged } from '@/store/studio';
import { climateCsv } from '@/core/record/csv';
import { saveFile } from '@/features/keep/files';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { Screen } from '@/ui/Screen';
import { Heading, Text } from '@/ui/Text';
import { Tick } from '@/ui/Tick';
import { ClimateChart } from '@/ui/time/ClimateChart';
import { duration, shortTime } from '@/ui/time/words';
import { space } from '@/ui/tokens';
import { ClimateImport } from './ClimateImport';
import { StatedClimate } from './StatedClimate';
import { useClimate, type ClimateView } from './useClimate';

const DAY_MS = 86_400_000;
/** A reading older than this is told with its age. */
const STALE_MS = 2 * 3_600_000;

/** The air of the studio: what it was, what it will be, and what that does to drying. */
export function ClimateScreen() {
  const router = useRouter();
  const view = useClimate();
  const follow = useStoreSelector((state) => state.studio.followReadings);
  const dispatch = useStoreDispatch();
  return (
    <Screen title="Climate" onBack={() => router.navigate('/studio')} maxWidth={900}>
      <View style={{ gap: space.xl }}>
        <Now view={view} />
        <Chart view={view} />
        <Logger view={view} />
        {view.readings > 0 ? (
          <Tick
            title={`Follow the readings that are kept (${view.readings} hours)`}
            checked={follow}
            onPress={() => dispatch(settingsChanged({ followReadings: !follow }))}
          />
        ) : null}
        <ClimateImport />
        {view.readings > 0 ? <SaveReadings /> : null}
        <StatedClimate />
      </View>
    </Screen>
  );
}

/** What is kept, as a table that this page takes in again. */
function SaveReadings() {
  const months = useStoreSelector((state) => state.climate);
  const save = () =>
    saveFile(
      'readings.csv',
      climateCsv(
        Object.values(months)
          .flatMap((m) => (m ? [m] : []))
          .sort((a, b) => a.id.localeCompare(b.id)),
      ),
      'text/csv;charset=utf-8',
    );
  return <Action title="Save the readings" onPress={save} style={{ alignSelf: 'flex-start' }} />;
}

function Now({ view }: { view: ClimateView }) {
  const unit = useTemperatureUnit();
  const { now, rateNow, rateMean, rateOfMean, lastReadingAgeMs } = view;
  return (
    <View>
      <Heading size="title">
        {`${temperatureWords(now.temperatureC, unit)}   ${Math.round(now.relativeHumidityPct)} %`}
      </Heading>
      <Text>
        {rateNow === 0
          ? 'Here oil paint does not dry at all now.'
          : `Oil paint dries at ${rateNow.toFixed(2)} times the rate of the tables now (${temperatureWords(20, unit)}, 50 %, room daylight); over the days shown at ${rateMean.toFixed(2)}.${
              rateMean.toFixed(2) === rateOfMean.toFixed(2)
                ? ''
                : ` Their mean temperature alone would say ${rateOfMean.toFixed(2)}: warm hours count for more than cold ones.`
            }`}
      </Text>
      {lastReadingAgeMs !== null && lastReadingAgeMs > STALE_MS ? (
        <Notice>{`The last reading is ${duration(lastReadingAgeMs / DAY_MS)} old. From there on the usual day of your readings is held to, and the windows widen.`}</Notice>
      ) : null}
    </View>
  );
}

function Chart({ view }: { view: ClimateView }) {
  const unit = useTemperatureUnit();
  const [width, setWidth] = useState(0);
  const temperatures = view.hours.map((h) => h.temperatureC);
  return (
    <View>
      <View onLayout={(e) => setWidth(e.nativeEvent.layout.width)}>
        {width > 0 ? (
          <ClimateChart
            width={width}
            hours={view.hours}
            degrees={(c) => shownTemperature(c, unit)}
            nowMs={view.nowMs}
            days={view.days}
            spoken={`Five days back and five ahead: ${shownTemperature(Math.min(...temperatures), unit).toFixed(0)} to ${temperatureWords(Math.max(...temperatures), unit, 0)}, drying at ${view.rateMean.toFixed(2)} times the rate of the tables.`}
          />
        ) : null}
      </View>
      <Text size="small" tone="ink2">
        Tawny: temperature, with its band ahead. Thin: humidity. Below: the rate of drying, the
        dotted line is that of the tables. Dashed: nobody measured it.
      </Text>
    </View>
  );
}

const LINE_WORDS = {
  off: 'Not connected.',
  connecting: 'Looking for the logger …',
  on: 'Connected.',
  lost: 'The logger is out of reach. Nothing is lost: what it has stored is fetched when it comes back.',
} as const;

function Logger({ view }: { view: ClimateView }) {
  const unit = useTemperatureUnit();
  const dispatch = useStoreDispatch();
  const on = useStoreSelector((state) => state.studio.loggerOn);
  const { line, last } = useStoreSelector((state) => state.logger);
  return (
    <View role="region" aria-label="Logger" style={{ gap: space.s }}>
      <Heading>Logger on the wall</Heading>
      <Text accessibilityLiveRegion="polite">
        {`${LINE_WORDS[line]}${last ? ` Last word ${shortTime(last.atMs, view.nowMs)}: ${temperatureWords(last.temperatureC, unit)}, ${Math.round(last.relativeHumidityPct)} %.` : ''}`}
      </Text>
      <Action
        title={on ? 'Disconnect' : 'Connect'}
        onPress={() => dispatch(settingsChanged({ loggerOn: !on }))}
      />
      <Text size="small" tone="ink2">
        The server that brings this app simulates one; another with the same addresses may take its
        place.
      </Text>
    </View>
  );
}
