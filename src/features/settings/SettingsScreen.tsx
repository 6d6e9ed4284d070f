import { View } from 'react-native';
import { studioSchema } from '@/core/formats/studio-schema';
import { useNumberText } from '@/forms';
import { KeepSection } from '@/features/keep/KeepSection';
import { UnreadableNotices } from '@/features/keep/UnreadableNotices';
import { useStoreDispatch, useStoreSelector } from '@/store/hooks';
import { settingsChanged } from '@/store/studio';
import { BINDER_KEYS, BINDERS } from '@/data/binders';
import { useTemperatureUnit } from '@/features/useTemperature';
import { Choice } from '@/ui/Choice';
import { Notice } from '@/ui/Notice';
import { NARROW, Screen, WIDE } from '@/ui/Screen';
import { TwoColumns, useWide } from '@/ui/Split';
import { Stepper } from '@/ui/Stepper';
import { Heading } from '@/ui/Text';
import { space } from '@/ui/tokens';

/** The studio: units, place, keeping. */
export function SettingsScreen() {
  const dispatch = useStoreDispatch();
  const units = useStoreSelector((state) => state.studio.units);
  const temperature = useTemperatureUnit();
  const wide = useWide();
  return (
    <Screen title="Settings" maxWidth={wide ? WIDE : NARROW}>
      <UnreadableNotices />
      <TwoColumns
        left={
          <>
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
              <Choice
                label="Temperatures in"
                options={[
                  { key: 'C', name: 'Celsius' },
                  { key: 'F', name: 'Fahrenheit' },
                ]}
                value={temperature}
                onChange={(key) => dispatch(settingsChanged({ temperature: key }))}
              />
            </View>
            <BinderSection />
            <PlaceSection />
          </>
        }
        right={
          <>
            <KeepSection />
            <SafetySection />
          </>
        }
      />
    </Screen>
  );
}

/** What all paints are ground in, where they are: what a pigment is picked in, and a new painting laid out in. */
function BinderSection() {
  const dispatch = useStoreDispatch();
  const binder = useStoreSelector((state) => state.studio.binder);
  return (
    <View>
      <Heading style={{ marginBottom: space.s }}>Your paints</Heading>
      <Choice
        label="A new mix begins with paint in"
        options={BINDER_KEYS.map((key) => ({ key, name: BINDERS[key].name }))}
        value={binder ?? 'linseed'}
        onChange={(key) => dispatch(settingsChanged({ binder: key }))}
      />
    </View>
  );
}

function PlaceSection() {
  const dispatch = useStoreDispatch();
  const latitudeDeg = useStoreSelector((state) => state.studio.latitudeDeg);
  const latitude = useNumberText(latitudeDeg, (value) => {
    const parsed = studioSchema.shape.latitudeDeg.safeParse(value);
    if (!parsed.success) return parsed.error.issues[0]!.message;
    dispatch(settingsChanged({ latitudeDeg: value }));
    return null;
  });
  return (
    <Stepper
      label="Latitude, for the hours of daylight"
      unit="°"
      step={1}
      min={-90}
      max={90}
      {...latitude}
    />
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
