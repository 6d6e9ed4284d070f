import { useState } from 'react';
import { View } from 'react-native';
import type { CabinetMedium } from '@/core/cabinet';
import { CoreError } from '@/core/errors';
import { STUDIO_HANDBOOK } from '@/core/handbook';
import { areaCm2 } from '@/core/painting';
import { byVolume, oilingOutDose, type OilingOutDose } from '@/core/quantity';
import { ruleOf } from '@/core/rules/records';
import { Figure, Figures } from '@/features/Figures';
import { MediumPicker, mediumWords } from '@/features/MediumPicker';
import { usePaintings, useStoreSelector } from '@/store/hooks';
import { parseNumber } from '@/forms';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Notice } from '@/ui/Notice';
import { Screen } from '@/ui/Screen';
import { Stepper } from '@/ui/Stepper';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import { StudioLink } from '@/features/frame/StudioLink';
import { BenchTabs } from './BenchTabs';

const COUCH_ID = 'starter-couch';

function dose(medium: CabinetMedium, area: number): OilingOutDose | string {
  try {
    return oilingOutDose(STUDIO_HANDBOOK, byVolume(medium.parts, medium.by), area);
  } catch (error) {
    if (error instanceof CoreError) return error.message;
    throw error;
  }
}

/** How few drops a couch takes. */
export function OilingOutScreen() {
  const paintings = usePaintings();
  const mediums = useStoreSelector((state) => state.cabinet.mediums).filter((m) => !m.archived);
  const [medium, setMedium] = useState<CabinetMedium | null>(
    () => mediums.find((m) => m.id === COUCH_ID) ?? mediums[0] ?? null,
  );
  const [picking, setPicking] = useState(false);
  const [area, setArea] = useState('500');
  const found = medium ? dose(medium, parseNumber(area)) : 'Choose a medium.';
  const passages = paintings.flatMap((p) =>
    p.passages.map((passage) => ({
      key: `${p.id}/${passage.id}`,
      name: `${passage.name}, ${p.title}`,
      area: Math.round(areaCm2(p.support) * passage.share),
    })),
  );
  return (
    <Screen title="Bench" aside={<StudioLink />} subtitle="Oiling out, by the drop">
      <BenchTabs />
      <View style={{ gap: space.l }}>
        <View style={{ gap: space.s }}>
          <Heading>{medium?.name ?? 'No medium'}</Heading>
          {medium ? <Text tone="ink2">{mediumWords(medium)}</Text> : null}
          <Action
            title="Another medium"
            onPress={() => setPicking(true)}
            style={{ alignSelf: 'flex-start' }}
          />
        </View>
        <Stepper
          label="Area"
          unit="cm²"
          step={50}
          min={1}
          max={400000}
          text={area}
          onChangeText={setArea}
        />
        {passages.length > 0 ? (
          <Choice
            label="Or a passage"
            options={passages}
            value={passages.find((p) => String(p.area) === area)?.key ?? null}
            onChange={(key) => setArea(String(passages.find((p) => p.key === key)!.area))}
          />
        ) : null}
        {typeof found === 'string' ? (
          <Notice tone="refusal">{found}</Notice>
        ) : (
          <View accessibilityLiveRegion="polite">
            <Text size="figure" strong>
              {found.drops < 1 ? 'under a drop' : `${Math.round(found.drops)} drops`}
            </Text>
            <Figures>
              <Figure
                name="to rub on"
                value={`${found.wetMl.toFixed(2)} ml`}
                note={`a drop is ${STUDIO_HANDBOOK.constants.dropMl} ml`}
              />
              <Figure
                name="stays"
                value={`${found.dryThicknessUm} µm`}
                note="before it is wiped off"
              />
            </Figures>
            {found.tooFat ? (
              <Notice tone="refusal">
                {`${ruleOf('oiling-out-fat').says} ${ruleOf('oiling-out-fat').mend}`}
              </Notice>
            ) : null}
          </View>
        )}
        <Notice>{`${ruleOf('oiling-out').says} ${ruleOf('oiling-out').mend} Only on touch-dry paint.`}</Notice>
      </View>
      {picking ? (
        <MediumPicker
          onPick={(picked) => {
            setMedium(picked);
            setPicking(false);
          }}
          onClose={() => setPicking(false)}
        />
      ) : null}
    </Screen>
  );
}
