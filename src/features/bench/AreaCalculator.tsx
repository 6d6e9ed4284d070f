import { useState } from 'react';
import { View } from 'react-native';
import { STUDIO_HANDBOOK } from '@/core/handbook';
import { paintNeeded, tubeCover } from '@/core/quantity';
import { Figure, Figures } from '@/features/Figures';
import { PaintPicker } from '@/features/PaintPicker';
import { tubeName, type Tube } from '@/core/cabinet/tube-names';
import { MM_PER } from '@/features/units';
import { useStoreSelector } from '@/store/hooks';
import { parseNumber } from '@/forms';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { Stepper } from '@/ui/Stepper';
import { Heading } from '@/ui/Text';
import { space } from '@/ui/tokens';

const TUBE_ML = 37;

/** Any area of any paint, at a thickness. */
export function AreaCalculator() {
  const units = useStoreSelector((state) => state.studio.units);
  const [tube, setTube] = useState<Tube>({ pigment: 'titanium-white', binder: 'linseed' });
  const [picking, setPicking] = useState(false);
  const [width, setWidth] = useState('50');
  const [height, setHeight] = useState('40');
  const [thickness, setThickness] = useState('75');
  const cm = MM_PER[units] / 10;
  const area = parseNumber(width) * cm * parseNumber(height) * cm;
  const h = parseNumber(thickness);
  const { canvasFactor, wasteFactor } = STUDIO_HANDBOOK.constants;
  const part = { parts: 1, ...tube };
  const needed =
    area > 0 && h >= 0.5 && h <= 10_000
      ? paintNeeded(
          STUDIO_HANDBOOK,
          { mix: [part], medium: [], mediumShare: 0, thicknessUm: h },
          area,
          { canvasFactor, wasteFactor },
        )
      : null;
  const unit = units === 'inch' ? 'in' : 'cm';
  return (
    <View style={{ gap: space.m }}>
      <Heading>Any area</Heading>
      <Action title={tubeName(tube)} onPress={() => setPicking(true)} />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.l }}>
        <Stepper
          label="Wide"
          unit={unit}
          step={5}
          min={1}
          max={2000}
          text={width}
          onChangeText={setWidth}
        />
        <Stepper
          label="High"
          unit={unit}
          step={5}
          min={1}
          max={2000}
          text={height}
          onChangeText={setHeight}
        />
        <Stepper
          label="Dry thickness"
          unit="µm"
          step={5}
          min={1}
          max={10000}
          text={thickness}
          onChangeText={setThickness}
        />
      </View>
      {needed ? (
        <Figures>
          <Figure
            name="to squeeze out"
            value={`${needed.wetMl.toFixed(1)} ml`}
            note={`canvas × ${canvasFactor}, waste × ${wasteFactor}`}
          />
          <Figure
            name="weighs"
            value={`${needed.tubes[0]!.g.toFixed(0)} g`}
            note={`stays on it: ${needed.dryMl.toFixed(1)} ml`}
          />
          <Figure
            name="one ml covers"
            value={`${Math.round(needed.cm2PerMl)} cm²`}
            note="without waste"
          />
          <Figure
            name={`a tube of ${TUBE_ML} ml`}
            value={`${Math.round(tubeCover(STUDIO_HANDBOOK, part, TUBE_ML, h).areaCm2)} cm²`}
            note="without waste"
          />
        </Figures>
      ) : (
        <Notice tone="refusal">Sides above 0, and a thickness of 0.5 µm to 10 mm.</Notice>
      )}
      {picking ? (
        <PaintPicker
          binder="linseed"
          onPick={(picked) => {
            setTube(picked);
            setPicking(false);
          }}
          onClose={() => setPicking(false)}
        />
      ) : null}
    </View>
  );
}
