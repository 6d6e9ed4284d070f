import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Picture } from '@/core/looking/schema';
import type { Painting } from '@/core/painting';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { colour, space } from '@/ui/tokens';
import { pictureName } from './picture-name';
import { TakeOutPicture } from './SetPicture';

/** Where the painter is: looking, or preparing a picture for it. */
export type Step = 'look' | 'add' | 'corners' | 'card' | 'outlines';

/** So many photos are offered at once. */
const LAST = 6;

/** The last photos to choose from; all of them when that is asked for. */
export function OnWhich({
  works,
  work,
  onChoose,
}: {
  works: Picture[];
  work: Picture;
  onChoose: (id: string) => void;
}) {
  const [all, setAll] = useState(false);
  if (works.length < 2) return null;
  const shown = works.filter((p, i) => all || i >= works.length - LAST || p.id === work.id);
  return (
    <View>
      <Choice
        label="On the photo of"
        options={shown.map((p) => ({ key: p.id, name: pictureName(p) }))}
        value={work.id}
        onChange={onChoose}
      />
      {shown.length < works.length ? (
        <Action title="Earlier photos" kind="quiet" onPress={() => setAll(true)} />
      ) : null}
    </View>
  );
}

/** What else is done with the picture that is looked at. */
export function PictureActions({
  painting,
  work,
  others,
  onStep,
  onCorners,
}: {
  painting: Painting;
  work: Picture;
  /** The design and the references. */
  others: Picture[];
  onStep: (step: Step) => void;
  /** Of a reference: with them it can be laid over the work. */
  onCorners: (id: string) => void;
}) {
  return (
    <View style={styles.do}>
      <Action title="Another picture" onPress={() => onStep('add')} />
      <Action title="Corners" onPress={() => onStep('corners')} />
      <Action
        title={work.patches.length > 0 ? 'Grey steps, set' : 'Grey steps'}
        onPress={() => onStep('card')}
      />
      <Action title="Passages" onPress={() => onStep('outlines')} />
      {others
        .filter((p) => p.kind === 'reference')
        .map((p) => (
          <Action key={p.id} title={`Corners: ${pictureName(p)}`} onPress={() => onCorners(p.id)} />
        ))}
      {[work, ...others].map((picture) => (
        <TakeOutPicture key={picture.id} painting={painting} picture={picture} />
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  do: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    gap: space.s,
    paddingTop: space.m,
    borderTopWidth: 1,
    borderTopColor: colour.rule,
  },
});
