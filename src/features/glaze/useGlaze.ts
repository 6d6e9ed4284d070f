import { useMemo, useState } from 'react';
import { OPTICS, type Age, type Finish } from '@/data/optics';
import type { Recipe } from '@/core/film';
import {
  GREY_SCALE,
  perUm,
  wedgeRows,
  WHITE_TONE,
  type Undertone,
  type WedgeRow,
} from '@/core/optics/glaze-bench';
import type { OpticalFilm } from '@/core/optics';
import { sourceOf, type ColourSource } from '@/core/optics/composition';
import { filmOfRecipe } from '@/core/film';
import { STUDIO_HANDBOOK } from '@/core/handbook';
import type { Painting, PassageAssessment } from '@/core/painting';
import { stackLook, type FilmLook } from '@/core/painting/look';
import type { RecipeEditor } from '@/features/coat/recipe-editor';
import { useRecipeForm } from '@/features/coat/useRecipeForm';
import { numberOf } from '@/forms';
import { useAssessment, useSwatches } from '@/store/hooks';

/** A wedge of a glaze goes so far; for thicker coats it goes on in leaps. In so many steps. */
const MOST_UM = 60;
const LEAPS = [100, 200, 500, 1000, 2000, 5000, 10_000];
const STEPS = 60;
const reachFor = (um: number): number =>
  um <= MOST_UM ? MOST_UM : (LEAPS.find((most) => um <= most) ?? LEAPS.at(-1)!);
/** Of the neighbours so many are shown beside the passage itself and white. */
const NEIGHBOURS = 3;

const USUAL: Recipe = {
  mix: [{ parts: 1, pigment: 'transparent-oxide-red', binder: 'linseed' }],
  medium: [{ parts: 1, ingredient: 'stand-oil' }],
  mediumShare: 0.8,
  thicknessUm: 15,
};

export interface Glaze {
  editor: RecipeEditor;
  recipe: Recipe | null;
  problems: string[];
  /** As it is laid; and how far the wedge goes. */
  um: number;
  mostUm: number;
  setUm(um: number): void;
  take(recipe: Recipe): void;
  /** What it lies on: a passage of a painting, or a scale of greys. */
  painting: Painting | null;
  passage: PassageAssessment | null;
  now: FilmLook | null;
  undertones: readonly Undertone[];
  film: OpticalFilm | null;
  rows: WedgeRow[];
  source: ColourSource;
  /** How it is looked at: the surface, and how the binder has aged. */
  finish: Finish;
  setFinish(finish: Finish): void;
  age: Age;
  setAge(age: Age): void;
  /** The undertone that is looked at. */
  chosen: number;
  choose(i: number): void;
}

/** The glaze on the bench: its mix stays as it was left, over a reload too. */
export function useGlaze(
  paintingId: string | null,
  passageId: string | null,
  coatId: string | null,
): Glaze {
  const swatches = useSwatches();
  const assessment = useAssessment(paintingId ?? '');
  const painting = assessment?.painting ?? null;
  const coat = painting?.coats.find((c) => c.id === coatId) ?? null;
  const document = useMemo(
    () => ({ recipe: coat && coat.recipe.material === undefined ? coat.recipe : USUAL }),
    [coat],
  );
  const { form, editor, recipe } = useRecipeForm(coat ? `glaze:${coat.id}` : 'glaze', document);
  const [chosen, choose] = useState(0);
  const [finish, setFinish] = useState<Finish>('oil-gloss');
  const [age, setAge] = useState<Age>('fresh');
  const passage = assessment?.passages.find((p) => p.passage.id === passageId) ?? null;
  const around = useMemo((): { undertones: readonly Undertone[]; now: FilmLook | null } => {
    if (!assessment || !passage) return { undertones: GREY_SCALE, now: null };
    const toneOf = ({ passage: p, base }: PassageAssessment): Undertone => {
      const { inner, lab } = stackLook(base, assessment.painting, swatches).now;
      return { key: p.id, name: p.name, inner, lab };
    };
    const others = assessment.passages.filter((p) => p !== passage).slice(0, NEIGHBOURS);
    return {
      undertones: [toneOf(passage), ...others.map(toneOf), WHITE_TONE],
      now: stackLook(passage.base, assessment.painting, swatches).now,
    };
  }, [assessment, passage, swatches]);
  // What the slider moves is not what the wedge is made of.
  const { mix, medium, mediumShare } = recipe ?? {};
  const film = useMemo(
    () =>
      mix && medium && mediumShare !== undefined
        ? perUm({ mix, medium, mediumShare, thicknessUm: 1 }, swatches, age)
        : null,
    [mix, medium, mediumShare, swatches, age],
  );
  const typed = numberOf(editor.draft.recipe.thicknessUm);
  const um = Number.isFinite(typed) && typed > 0 ? typed : 1;
  // It grows with what is typed, and does not shrink under the finger.
  const [mostUm, setMostUm] = useState(() => reachFor(um));
  if (um > mostUm) setMostUm(reachFor(um));
  const rows = useMemo(
    () =>
      film
        ? wedgeRows(film, around.undertones, {
            mostUm,
            steps: STEPS,
            finish,
            cv: OPTICS.cvSoftBrush,
          })
        : [],
    [film, around.undertones, finish, mostUm],
  );
  return {
    editor,
    recipe,
    problems: [...new Set(form.issues.map((i) => i.message))].slice(0, 3),
    um,
    mostUm,
    setUm: (thicknessUm) => editor.setRecipe({ thicknessUm }, 'recipe.thicknessUm'),
    take: (taken) => editor.changeRecipe(() => taken as typeof editor.draft.recipe),
    painting,
    passage,
    now: around.now,
    undertones: around.undertones,
    film,
    rows,
    source: recipe
      ? sourceOf(filmOfRecipe(STUDIO_HANDBOOK, recipe), swatches)
      : { kind: 'estimate', at: null },
    finish,
    setFinish,
    age,
    setAge,
    chosen: Math.min(chosen, around.undertones.length - 1),
    choose,
  };
}
