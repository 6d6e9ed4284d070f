import { nanoid } from '@reduxjs/toolkit';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { cabinetMediumSchema, putMedium, type CabinetMedium } from '@/core/cabinet';
import { mediumFigures } from '@/core/film';
import { issuesOf } from '@/core/issues';
import { byVolume } from '@/core/quantity';
import { Figure, Figures } from '@/features/Figures';
import { IngredientLines, type IngredientDraft } from '@/features/IngredientLines';
import { changeCabinet } from '@/store/actions';
import { useStoreDispatch } from '@/store/hooks';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Notice } from '@/ui/Notice';
import { Heading } from '@/ui/Text';
import { space } from '@/ui/tokens';

export interface MediumDraft {
  id: string;
  name: string;
  by: CabinetMedium['by'];
  lines: IngredientDraft[];
  archived: boolean;
}

const tidy = (value: number): string => String(Number(value.toFixed(3)));
const number = (text: string): number =>
  text.trim() === '' ? NaN : Number(text.trim().replace(',', '.'));

const draftOfMedium = (medium: CabinetMedium): MediumDraft => ({
  id: medium.id,
  name: medium.name,
  by: medium.by,
  lines: medium.parts.map((p) => ({ ...p, parts: tidy(p.parts) })),
  archived: medium.archived,
});

const newMedium = (): MediumDraft => ({
  id: nanoid(12),
  name: '',
  by: 'volume',
  lines: [
    { ingredient: 'linseed-refined', parts: '1' },
    { ingredient: 'mineral-spirits', parts: '1' },
  ],
  archived: false,
});

function checkMedium(draft: MediumDraft) {
  const parsed = cabinetMediumSchema.safeParse({
    id: draft.id,
    name: draft.name,
    by: draft.by,
    parts: draft.lines.map((l) => ({ ...l, parts: number(l.parts) })),
    archived: draft.archived,
  });
  const issues = parsed.error ? issuesOf(parsed.error) : [];
  return {
    medium: parsed.success ? parsed.data : null,
    problem: (path: string) => issues.find((i) => i.where === path)?.message,
  };
}

export interface MediumEdit {
  draft: MediumDraft;
  set(change: Partial<MediumDraft>): void;
  checked: ReturnType<typeof checkMedium>;
  keep(): void;
  archive(): void;
}

/** @param medium null for a new one */
export function useMediumEdit(medium: CabinetMedium | null, onDone: () => void): MediumEdit {
  const dispatch = useStoreDispatch();
  const [draft, setDraft] = useState<MediumDraft>(() =>
    medium ? draftOfMedium(medium) : newMedium(),
  );
  const checked = useMemo(() => checkMedium(draft), [draft]);
  const put = (what: string, kept: CabinetMedium) => {
    dispatch(changeCabinet(what, (c) => putMedium(c, kept)));
    onDone();
  };
  return {
    draft,
    set: (change) => setDraft((d) => ({ ...d, ...change })),
    checked,
    keep: () => {
      if (checked.medium) put(`Kept ${checked.medium.name}`, checked.medium);
    },
    archive: () => {
      if (!medium) return;
      const archived = !medium.archived;
      put(archived ? `Archived ${medium.name}` : `Took out ${medium.name}`, {
        ...medium,
        archived,
      });
    },
  };
}

/** One medium of the cabinet: a recipe in parts, and what stays of it. */
export function MediumRecipe({ edit }: { edit: MediumEdit }) {
  const { draft, set, checked } = edit;
  const figures = checked.medium
    ? mediumFigures(byVolume(checked.medium.parts, checked.medium.by))
    : null;
  const problem = checked.problem('parts');
  return (
    <View style={{ gap: space.l }}>
      <Field
        label="Name"
        value={draft.name}
        onChangeText={(name) => set({ name })}
        error={draft.name === '' ? undefined : checked.problem('name')}
      />
      <Choice
        label="Parts are measured by"
        options={[
          { key: 'volume', name: 'volume' },
          { key: 'weight', name: 'weight' },
        ]}
        value={draft.by}
        onChange={(by) => set({ by })}
      />
      <View style={{ gap: space.s }}>
        <Heading>Ingredients</Heading>
        <IngredientLines
          lines={draft.lines}
          onChange={(lines) => set({ lines })}
          problem={(i) => checked.problem(`parts.${i}.parts`)}
        />
        {problem ? <Notice tone="refusal">{problem}</Notice> : null}
      </View>
      {figures ? (
        <Figures>
          <Figure
            name="stays"
            value={`${Math.round(figures.solidsVolumeFraction * 100)} %`}
            note="by volume; the rest is vapour"
          />
          <Figure
            name="stays"
            value={`${Math.round(figures.solidsWeightFraction * 100)} %`}
            note="by weight"
          />
          <Figure
            name="oil"
            value={`${Math.round(figures.oilOfSolids * 100)} %`}
            note="of what stays, by volume"
          />
          <Figure name="density" value={figures.densityGPerMl.toFixed(3)} note="g to the ml" />
        </Figures>
      ) : null}
    </View>
  );
}
