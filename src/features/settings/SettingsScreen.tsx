import { useState } from 'react';
import { View } from 'react-native';
import { climateSchema, dryingRate, type Climate } from '@/core/drying';
import { studioSchema } from '@/core/formats';
import { STUDIO_HANDBOOK } from '@/core/handbook';
import { AIR, AIR_KEYS, LIGHT, LIGHT_KEYS } from '@/data/climate';
import { KeepSection } from '@/features/keep/KeepSection';
import { UnreadableNotices } from '@/features/keep/UnreadableNotices';
import { useStoreDispatch, useStoreSelector } from '@/store/hooks';
import { settingsChanged } from '@/store/studio';
import { Choice } from '@/ui/Choice';
import { Notice } from '@/ui/Notice';
import { Screen } from '@/ui/Screen';
import { Stepper } from '@/ui/Stepper';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';

/** The studio: units, climate, keeping. */
export function SettingsScreen() {
  const dispatch = useStoreDispatch();
  const units = useStoreSelector((state) => state.studio.units);
  return (
    <Screen title="Settings">
      <View style={{ gap: space.xxl }}>
        <UnreadableNotices />
        <View>
          <Heading style={{ marginBottom: space.s }}>Units</Heading>
          <Choice
            label="Sizes in"
            options={[
              { key: 'cm', name: 'cm' },
              { key: 'inch', name: 'inches' },
            ]}
            value={units}
            onChange={(key) => dispatch(settingsChanged({ units: key }))}
          />
        </View>
        <ClimateSection />
        <KeepSection />
        <SafetySection />
      </View>
    </Screen>
  );
}

/** A number that is kept as typed until it is valid. */
function useNumberText(stored: number, accept: (value: number) => string | null) {
  const [draft, setDraft] = useState<string | null>(null);
  const [error, setError] = useState<string | undefined>(undefined);
  return {
    text: draft ?? String(stored),
    error,
    onChangeText(text: string) {
      const problem = text.trim() === '' ? 'Give a number.' : accept(Number(text));
      setError(problem ?? undefined);
      setDraft(problem === null && String(Number(text)) === text ? null : text);
    },
  };
}

function ClimateSection() {
  const dispatch = useStoreDispatch();
  const { climate, latitudeDeg } = useStoreSelector((state) => state.studio);
  const set = (change: Partial<Climate>): string | null => {
    const parsed = climateSchema.safeParse({ ...climate, ...change });
    if (!parsed.success) return parsed.error.issues[0]!.message;
    dispatch(settingsChanged({ climate: parsed.data }));
    return null;
  };
  const temperature = useNumberText(climate.temperatureC, (temperatureC) => set({ temperatureC }));
  const humidity = useNumberText(climate.relativeHumidityPct, (relativeHumidityPct) =>
    set({ relativeHumidityPct }),
  );
  const latitude = useNumberText(latitudeDeg, (value) => {
    const parsed = studioSchema.shape.latitudeDeg.safeParse(value);
    if (!parsed.success) return parsed.error.issues[0]!.message;
    dispatch(settingsChanged({ latitudeDeg: value }));
    return null;
  });
  const rate = dryingRate(STUDIO_HANDBOOK.constants, climate);
  return (
    <View style={{ gap: space.m }}>
      <Heading>Climate of the studio</Heading>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.xl }}>
        <Stepper label="Temperature" unit="°C" step={0.5} min={-10} max={45} {...temperature} />
        <Stepper label="Humidity" unit="%" step={5} min={0} max={100} {...humidity} />
      </View>
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
      <Text>
        {rate === 0
          ? 'Here oil paint does not dry at all.'
          : `Oil paint dries here at ${rate.toFixed(2)} times the rate of the tables (20 °C, 50 %, room daylight).`}
      </Text>
      {climate.light === 'sun' ? (
        <Notice>Direct sun heats the film and can wrinkle it.</Notice>
      ) : null}
      <Stepper
        label="Latitude, for the hours of daylight"
        unit="°"
        step={1}
        min={-90}
        max={90}
        {...latitude}
      />
    </View>
  );
}

function SafetySection() {
  return (
    <View style={{ gap: space.s }}>
      <Heading>In the studio</Heading>
      <Notice>
        Oily rags, gloves and paper can catch fire by themselves. Dry them flat and unstacked
        outdoors, away from buildings, or keep them under water in a closed metal can.
      </Notice>
      <Notice>
        Solvent vapour cannot be judged by its smell. Air the room, keep lids on. The safety data
        sheet and local rules govern.
      </Notice>
      <Notice>
        Lead, cadmium, cobalt and manganese pigments: nitrile gloves, no painting with fingers, no
        dry sanding, no eating at the easel; keep them from children and in pregnancy. Colours of
        unknown make may hold them.
      </Notice>
    </View>
  );
}
