import { View } from 'react-native';
import { type Climate } from '@/core/drying';
import { climateSchema } from '@/core/drying/climate-schema';
import { type DayNight } from '@/core/climate';
import { dayNightSchema } from '@/core/climate/day-schema';
import { AIR, AIR_KEYS, LIGHT, LIGHT_KEYS } from '@/data/climate';
import { useStoreDispatch, useStoreSelector } from '@/store/hooks';
import { settingsChanged } from '@/store/studio';
import { Choice } from '@/ui/Choice';
import { Notice } from '@/ui/Notice';
import { Stepper } from '@/ui/Stepper';
import { Heading, Text } from '@/ui/Text';
import { Tick } from '@/ui/Tick';
import { space } from '@/ui/tokens';
import { useNumberText } from '@/forms';
import { celsiusOf, shownTemperature, type TemperatureUnit } from '@/features/units';
import { useTemperatureUnit } from '@/features/useTemperature';

const NIGHT: DayNight = {
  dayFromHour: 8,
  dayToHour: 20,
  night: { temperatureC: 16, relativeHumidityPct: 55 },
};

const COLDEST_C = -10;
const WARMEST_C = 45;
/** A stepper of temperatures in the painter's degrees. */
const stepsIn = (unit: TemperatureUnit) => ({
  unit: `°${unit}`,
  step: unit === 'F' ? 1 : 0.5,
  min: shownTemperature(COLDEST_C, unit),
  max: shownTemperature(WARMEST_C, unit),
});

/** A temperature kept in Celsius, shown and typed in the painter's degrees. */
function useTemperatureText(celsius: number, accept: (celsius: number) => string | null) {
  const unit = useTemperatureUnit();
  const shown = Number(shownTemperature(celsius, unit).toFixed(1));
  return useNumberText(shown, (typed) => {
    const refusal = accept(typed === shown ? celsius : celsiusOf(typed, unit));
    return refusal && unit === 'F'
      ? `Temperature must be between ${shownTemperature(COLDEST_C, unit)} and ${shownTemperature(WARMEST_C, unit)} °F.`
      : refusal;
  });
}

/** What the painter says of the air: held to wherever nobody has measured it. */
export function StatedClimate() {
  const dispatch = useStoreDispatch();
  const { climate, dayNight } = useStoreSelector((state) => state.studio);
  const set = (change: Partial<Climate>): string | null => {
    const parsed = climateSchema.safeParse({ ...climate, ...change });
    if (!parsed.success) return parsed.error.issues[0]!.message;
    dispatch(settingsChanged({ climate: parsed.data }));
    return null;
  };
  const unit = useTemperatureUnit();
  const temperature = useTemperatureText(climate.temperatureC, (temperatureC) =>
    set({ temperatureC }),
  );
  const humidity = useNumberText(climate.relativeHumidityPct, (relativeHumidityPct) =>
    set({ relativeHumidityPct }),
  );
  return (
    <View style={{ gap: space.m }}>
      <Heading>{dayNight ? 'By day' : 'Where nobody measures'}</Heading>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.xl }}>
        <Stepper label="Temperature" {...stepsIn(unit)} {...temperature} />
        <Stepper label="Humidity" unit="%" step={5} min={0} max={100} {...humidity} />
      </View>
      <Tick
        title="Another climate by night"
        checked={dayNight !== null}
        onPress={() => dispatch(settingsChanged({ dayNight: dayNight ? null : NIGHT }))}
      />
      {dayNight ? <Night key="night" dayNight={dayNight} /> : null}
      <Choice
        label="Light on the drying work"
        options={LIGHT_KEYS.map((key) => ({ key, name: LIGHT[key].name }))}
        value={climate.light}
        onChange={(light) => set({ light })}
      />
      <Choice
        label="Air around it"
        options={AIR_KEYS.map((key) => ({ key, name: AIR[key].name }))}
        value={climate.air}
        onChange={(air) => set({ air })}
      />
      {climate.light === 'sun' ? (
        <Notice>Direct sun heats the film and can wrinkle it.</Notice>
      ) : null}
    </View>
  );
}

function Night({ dayNight }: { dayNight: DayNight }) {
  const dispatch = useStoreDispatch();
  const set = (change: Partial<DayNight>): string | null => {
    const parsed = dayNightSchema.safeParse({ ...dayNight, ...change });
    if (!parsed.success) return parsed.error.issues[0]!.message;
    dispatch(settingsChanged({ dayNight: parsed.data }));
    return null;
  };
  const { night } = dayNight;
  const unit = useTemperatureUnit();
  const temperature = useTemperatureText(night.temperatureC, (temperatureC) =>
    set({ night: { ...night, temperatureC } }),
  );
  const humidity = useNumberText(night.relativeHumidityPct, (relativeHumidityPct) =>
    set({ night: { ...night, relativeHumidityPct } }),
  );
  const from = useNumberText(dayNight.dayFromHour, (dayFromHour) => set({ dayFromHour }));
  const to = useNumberText(dayNight.dayToHour, (dayToHour) => set({ dayToHour }));
  return (
    <View style={{ gap: space.m }}>
      <Heading>By night</Heading>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.xl }}>
        <Stepper label="Night temperature" {...stepsIn(unit)} {...temperature} />
        <Stepper label="Night humidity" unit="%" step={5} min={0} max={100} {...humidity} />
        <Stepper label="Day begins" unit="h" step={1} min={0} max={23} {...from} />
        <Stepper label="Day ends" unit="h" step={1} min={0} max={23} {...to} />
      </View>
      <Text size="small" tone="ink2">
        Two levels dry faster than their mean: warmth hastens more than cold delays.
      </Text>
    </View>
  );
}
