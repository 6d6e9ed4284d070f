import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { asTube } from '@/core/cabinet';
import type { TubePart } from '@/core/film';
import { changeWords, colourWords, hueWord, screenColour, valueOfLab } from '@/core/optics';
import { opticalMix } from '@/core/optics/string-amounts';
import { labOfMix, neutralise, whiteAdded } from '@/core/optics/strings';
import { BINDERS } from '@/data/binders';
import { parseNumber } from '@/forms';
import { useStoreSelector, useSwatches } from '@/store/hooks';
import { BeforeAfter } from '@/ui/film/BeforeAfter';
import { Stepper } from '@/ui/Stepper';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';

const WHITE: TubePart = { parts: 1, pigment: 'titanium-white', binder: 'linseed' };
const SHOWN = 3;

const percent = (share: number): string => `${(100 * share).toFixed(share < 0.1 ? 1 : 0)} %`;

/** What white does to a mix and what turns it back; and what takes its colour out. */
export function TouchesPart({ mix }: { mix: readonly TubePart[] }) {
  const [text, setText] = useState('50');
  const swatches = useSwatches();
  const paints = useStoreSelector((s) => s.cabinet.paints);
  const share = parseNumber(text) / 100;
  const others = useMemo(
    () => paints.filter((p) => !p.archived && BINDERS[p.binder].kind !== 'acrylic'),
    [paints],
  );
  const told = useMemo(() => {
    const its = opticalMix(mix, swatches);
    const candidates = others.map((p) => opticalMix([{ parts: 1, own: asTube(p) }], swatches));
    const white = opticalMix([WHITE], swatches);
    return {
      lab: labOfMix(its),
      white: share > 0 && share < 1 ? whiteAdded(its, white, share, candidates) : null,
      neutral: neutralise(its, candidates),
    };
  }, [mix, swatches, others, share]);
  const { white, neutral } = told;
  return (
    <View style={{ gap: space.s }}>
      <Heading level={2}>White into the first mix</Heading>
      <Stepper
        label="Titanium white, share of the whole"
        unit="%"
        step={5}
        min={5}
        max={95}
        text={text}
        onChangeText={setText}
        error={share > 0 && share < 1 ? undefined : 'Between 0 and 100 %.'}
      />
      {white ? (
        <>
          <BeforeAfter
            name="with white"
            before={{ screen: screenColour(white.from), value: valueOfLab(white.from) }}
            after={{ screen: screenColour(white.to), value: valueOfLab(white.to) }}
            words={changeWords(white.change)}
            height={64}
          />
          <Text>
            {Math.abs(white.change.hue) < 3
              ? 'Its hue stays; what cools it is the chroma that is lost.'
              : `Its hue turns by ${Math.round(Math.abs(white.change.hue))}° as well.`}
          </Text>
          {white.back.slice(0, SHOWN).map(({ index, share: touch, chromaLost }) => (
            <Text key={index} size="small">
              {`${percent(touch)} ${others[index]!.name} turns the hue back; ${chromaLost > 2 ? `chroma ${chromaLost.toFixed(0)} less than neat stays lost` : 'hardly any chroma is lost'}.`}
            </Text>
          ))}
          {white.back.length === 0 && Math.abs(white.change.hue) >= 3 ? (
            <Text size="small" tone="ink2">
              No paint of the cabinet turns it back by a touch.
            </Text>
          ) : null}
        </>
      ) : null}
      <Heading level={2}>What takes its colour out</Heading>
      {neutral.length === 0 ? (
        <Text tone="ink2">
          {hueWord(told.lab) === 'neutral'
            ? 'It is neutral already.'
            : 'No paint of the cabinet lies opposite to it.'}
        </Text>
      ) : (
        neutral.slice(0, SHOWN).map(({ index, share: part, lab }) => (
          <Text key={index} size="small">
            {`${percent(part)} ${others[index]!.name}: ${colourWords(lab)}, value ${valueOfLab(lab).toFixed(1)}.`}
          </Text>
        ))
      )}
    </View>
  );
}
